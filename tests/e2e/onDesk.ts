import { expect, type Page } from '@playwright/test'
import { call, type RunningApp } from './startApp'

/** What tests of the Desk do again and again. */

/** Where a text is typed. */
export const editor = (page: Page, name: 'title' | 'description') => page.getByTestId(name).locator('.cm-content')
/** Waits until everything typed is saved. */
export const saved = (page: Page) => expect(page.getByTestId('save-state')).toHaveText(/^Saved/u)
/** The field within what is named. */
export const field = (page: Page, name: string) => page.getByTestId(name).locator('input, textarea').first()

/** Makes a brief. @returns its id. */
export async function newBrief(app: RunningApp, fields: object): Promise<string> {
  const given = { topic: 'Desk', region: 'GB', ...fields }
  return (await call(app, '/api/briefs', { method: 'POST', body: { fields: given } })).json.id
}
/** The fields of a brief as they are saved. */
export const fieldsOf = async (app: RunningApp, id: string) => (await call(app, `/api/briefs/${id}`)).json.fields
