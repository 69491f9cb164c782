import { test as base } from '@playwright/test'
import { startApp, type RunningApp } from './startApp'

export { call, startApp, type RunningApp } from './startApp'
export { expect } from '@playwright/test'

/**
 * An app with demo data. Files that change what others look at extend their test by it once more, and so have one of
 * their own.
 */
export const demoApp: {
  app: [({}: object, use: (app: RunningApp) => Promise<void>) => Promise<void>, { scope: 'worker' }]
} = {
  app: [
    async ({}, use) => {
      const app = await startApp()
      await use(app)
      await app.close()
    },
    { scope: 'worker' },
  ],
}

/** For what needs no page. */
export const appTest = base.extend<object, { app: RunningApp }>(demoApp)

/** A page opened on that app. The test fails if the page reports an error. */
export const test = appTest.extend<{ quiet: boolean }>({
  baseURL: async ({ app }, use) => {
    await use(app.url)
  },
  quiet: [
    async ({ page }, use) => {
      const problems: string[] = []
      page.on('pageerror', error => {
        problems.push(error.message)
      })
      page.on('console', message => {
        if (message.type() === 'error' && !/Failed to load resource/u.test(message.text()))
          problems.push(message.text())
      })
      await use(true)
      base.expect(problems, 'errors of the page').toEqual([])
    },
    { auto: true },
  ],
})
