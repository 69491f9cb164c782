import { test as base } from '@playwright/test'
import { startApp, type RunningApp } from './startApp'

export { call, startApp, type RunningApp } from './startApp'
export { expect } from '@playwright/test'

/** An app of the file's own, with demo data; for what needs no page. */
export const appTest = base.extend<object, { app: RunningApp }>({
  app: [async ({}, use) => {
    const app = await startApp()
    await use(app)
    await app.close()
  }, { scope: 'worker' }],
})

/** A page opened on that app. The test fails if the page reports an error. */
export const test = appTest.extend<{ quiet: boolean }>({
  baseURL: async ({ app }, use) => { await use(app.url) },
  quiet: [async ({ page }, use) => {
    const problems: string[] = []
    page.on('pageerror', (error) => { problems.push(error.message) })
    page.on('console', (message) => { if (message.type() === 'error' && !/Failed to load resource/u.test(message.text())) problems.push(message.text()) })
    await use(true)
    base.expect(problems, 'errors of the page').toEqual([])
  }, { auto: true }],
})
