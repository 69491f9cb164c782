import { test as base } from '@playwright/test'
import { startApp, type RunningApp } from './startApp'

export { call, startApp, type RunningApp } from './startApp'
export { expect } from '@playwright/test'

/** A page opened on an app of the file's own, with demo data. The test fails if the app or the page reports an error. */
export const test = base.extend<{ quiet: boolean }, { app: RunningApp }>({
  app: [async ({}, use) => {
    const app = await startApp()
    await use(app)
    await app.close()
  }, { scope: 'worker' }],
  baseURL: async ({ app }, use) => { await use(app.url) },
  quiet: [async ({ page }, use) => {
    const problems: string[] = []
    page.on('pageerror', (error) => { problems.push(error.message) })
    page.on('console', (message) => { if (message.type() === 'error' && !/Failed to load resource/u.test(message.text())) problems.push(message.text()) })
    await use(true)
    base.expect(problems, 'errors of the page').toEqual([])
  }, { auto: true }],
})
