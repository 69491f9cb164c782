import { defineConfig } from '@playwright/test'
import { CHROMIUM, TEST_ARGS } from './tests/e2e/chromium'

/** The real interface on the built app, in Debian's Chromium. Each file starts servers of its own. */
export default defineConfig({
  testDir: 'tests/e2e',
  globalSetup: './tests/e2e/demoData.ts',
  // Half of a test is waiting for a page or a service: one more than a small machine has processors keeps them busy.
  workers: 3,
  // What stands still ends; a machine at a third of its speed does not fail by that.
  timeout: 150_000,
  expect: { timeout: 30_000 },
  // A machine busy with something else may be slow once; what fails twice has failed. The list says which were tried
  // again.
  retries: 1,
  reporter: process.env.FONETRA_TEST_REPORT
    ? [['list'], ['json', { outputFile: process.env.FONETRA_TEST_REPORT }]]
    : 'list',
  use: {
    viewport: { width: 1280, height: 800 },
    testIdAttribute: 'data-test',
    locale: 'en-GB',
    timezoneId: 'Europe/London',
    // Motion is looked at by the journeys; everywhere else a thing stands where it comes to stand at once.
    contextOptions: { reducedMotion: 'reduce' },
    permissions: ['clipboard-read', 'clipboard-write'],
    screenshot: 'only-on-failure',
    launchOptions: { executablePath: CHROMIUM, args: TEST_ARGS },
  },
})
