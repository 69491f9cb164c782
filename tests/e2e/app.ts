import { test as base, type BrowserContext, type BrowserContextOptions } from '@playwright/test'
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

/** Contexts by their options: one is used again, so that scripts are not compiled anew for each test. */
type Contexts = (options: BrowserContextOptions) => Promise<BrowserContext>

/** For what needs no page. */
export const appTest = base.extend<object, { app: RunningApp }>(demoApp)

/** A page opened on that app. The test fails if the page reports an error. */
export const test = appTest.extend<{ quiet: boolean }, { contexts: Contexts }>({
  baseURL: async ({ app }, use) => {
    await use(app.url)
  },
  contexts: [
    async ({ browser }, use) => {
      const known = new Map<string, Promise<BrowserContext>>()
      await use(options => {
        const key = JSON.stringify(options)
        const context = known.get(key) ?? browser.newContext(options)
        known.set(key, context)
        return context
      })
      for (const context of known.values()) await (await context).close()
    },
    { scope: 'worker' },
  ],
  context: async (
    { contexts, baseURL, viewport, colorScheme, locale, timezoneId, permissions, contextOptions },
    use,
  ) => {
    const options = { baseURL, viewport, colorScheme, locale, timezoneId, permissions, ...contextOptions }
    const context = await contexts(options as BrowserContextOptions)
    await use(context)
    // The next test comes to a browser that was never here, but for the files it has loaded.
    for (const page of context.pages()) await page.close()
    await context.clearCookies()
    const page = await context.newPage()
    const session = await context.newCDPSession(page)
    await session.send('Storage.clearDataForOrigin', { origin: baseURL!, storageTypes: 'local_storage' })
    await page.close()
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
