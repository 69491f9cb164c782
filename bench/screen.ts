import { chromium } from '@playwright/test'
import { CHROMIUM, CHROMIUM_ARGS } from '../tests/e2e/chromium'
import { startApp } from '../tests/e2e/startApp'
import { timing, type Timing } from './measure'

const RUNS = 20

/**
 * The first Demand screen in a new browser profile: until a row with its difficulty can be used, and what was loaded.
 */
export async function benchScreen(): Promise<{ timings: Timing[]; loadedKb: Record<string, number> }> {
  const app = await startApp()
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
  try {
    const times: number[] = []
    const loaded: Record<string, number> = {}
    for (let run = -1; run < RUNS; run++) {
      const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
      const page = await context.newPage()
      const sizes: Promise<void>[] = []
      if (run === 0) {
        page.on('requestfinished', request => {
          sizes.push(
            request.sizes().then(({ responseBodySize }) => {
              loaded[request.resourceType()] = (loaded[request.resourceType()] ?? 0) + responseBodySize / 1024
            }),
          )
        })
      }
      const startedAt = performance.now()
      await page.goto(`${app.url}/demand?seed=rear+derailleur&region=GB`)
      await page.locator('[data-test=phrase-row] .difficulty').first().waitFor()
      if (run >= 0) times.push(performance.now() - startedAt)
      await page.waitForTimeout(run === 0 ? 1500 : 0)
      await Promise.all(sizes)
      await context.close()
    }
    return {
      timings: [timing('first usable Demand screen', 'new browser profile, loopback', times, 1200)],
      loadedKb: loaded,
    }
  } finally {
    await browser.close()
    await app.close()
  }
}
