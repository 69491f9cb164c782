import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import type { Page } from '@playwright/test'
import { expect, test } from './app'

const PATH = '/demand?seed=rear+derailleur&region=GB'
const rows = (page: Page) => page.getByTestId('phrase-row')

/** Holds back what is asked of a path until it is let. */
async function held(page: Page, path: string): Promise<() => void> {
  let open: () => void
  const gate = new Promise<void>(go => (open = go))
  await page.route(path, async route => {
    await gate
    await route.continue()
  })
  return open!
}

test('what the first screen shows is asked for once', async ({ page }) => {
  const asked: string[] = []
  page.on('request', request => {
    const { pathname, searchParams } = new URL(request.url())
    if (pathname.startsWith('/api/')) asked.push(`${pathname} ${searchParams.get('offset') ?? ''}`.trim())
  })
  await page.goto(PATH)
  await expect(rows(page).first()).toBeVisible()
  await expect(page.getByTestId('filter-contains')).toBeVisible()
  await expect(page.getByTestId('tray')).toBeVisible()
  const times = (path: RegExp) => asked.filter(each => path.test(each)).length
  for (const path of [/session$/u, /workspaces$/u, /briefs$/u, /briefs\/[^/]+$/u, /phrases 0$/u])
    expect([path.source, times(path)]).toEqual([path.source, 1])
})

test('while phrases are on their way the frame is there and can be used', async ({ page }) => {
  const letPhrases = await held(page, '**/api/phrases?**')
  await page.goto(PATH)
  await expect(page.getByTestId('seed')).toBeVisible()
  await expect(page.getByTestId('tray')).toBeVisible()
  await expect(rows(page)).toHaveCount(0)
  letPhrases()
  await expect(rows(page).first()).toBeVisible()
  await page.getByTestId('filter-contains').locator('input').fill('bent')
  await expect(page).toHaveURL(/holds=bent/u)
})

test('a brief that comes late holds nothing back but what needs it', async ({ page }) => {
  const letBrief = await held(page, '**/api/briefs/*')
  await page.goto(PATH)
  await expect(page.getByRole('navigation', { name: 'Areas' })).toBeVisible()
  await expect(rows(page)).toHaveCount(0)
  letBrief()
  await expect(rows(page).first()).toBeVisible()
})

test('a brief that cannot be loaded is told, and phrases are there all the same', async ({ page }) => {
  await page.route('**/api/briefs/*', route =>
    route.fulfill({ status: 500, json: { error: { code: 'broken', message: 'Could not read this brief.' } } }),
  )
  await page.goto(PATH)
  await expect(page.getByTestId('notice')).toContainText('Could not read this brief.')
  await expect(rows(page).first()).toBeVisible()
})

for (const width of [1280, 1024, 420])
  test(`nothing seen moves while the first screen is made, ${width} wide`, async ({ page }) => {
    await page.setViewportSize({ width, height: 800 })
    await page.addInitScript(() => {
      const shifts = ((window as { shifts?: number[] }).shifts = [] as number[])
      new PerformanceObserver(list => {
        for (const entry of list.getEntries()) shifts.push((entry as PerformanceEntry & { value: number }).value)
      }).observe({ type: 'layout-shift', buffered: true })
    })
    const rest = page.waitForResponse(response => /\/api\/phrases\?.*offset=100\b/u.test(response.url()))
    await page.goto(PATH)
    await expect(rows(page).first()).toBeVisible()
    await expect(page.getByTestId('filter-contains')).toBeVisible()
    if (width > 1240) await expect(page.getByTestId('tray')).toBeVisible()
    await rest
    const moved = await page.evaluate(
      () =>
        new Promise<number>(done =>
          requestAnimationFrame(() =>
            requestAnimationFrame(() => done((window as { shifts?: number[] }).shifts!.reduce((sum, n) => sum + n, 0))),
          ),
        ),
    )
    // By the usual measure a page is calm under a tenth.
    expect(moved).toBeLessThan(0.05)
  })

test('what every screen begins with and could not be loaded is said, and asked for again', async ({ page }) => {
  const begins = /\/api\/(session|workspaces|briefs)$/u
  const fails = { error: { code: 'internal', message: 'The server has a fault.' } }
  await page.route(begins, route => route.fulfill({ status: 500, json: fails }))
  await page.goto(PATH)
  await expect(rows(page).first()).toBeVisible()
  const missing = page.getByTestId('not-loaded')
  await expect(missing).toHaveText(
    /^Could not load who is signed in, workspaces, and briefs\. The server has a fault\.\s*Try again$/u,
  )
  await page.unroute(begins)
  await page.route(/\/api\/workspaces$/u, route => route.fulfill({ status: 500, json: fails }), { times: 1 })
  await missing.getByRole('button').click()
  await expect(missing).toContainText('Could not load workspaces. The server has a fault.')
  // The brief that is opened where none is named.
  await expect(page).toHaveURL(/[?&]brief=/u)
  await missing.getByRole('button').click()
  await expect(missing).toHaveCount(0)
  await expect(rows(page).first()).toBeVisible()
})

test('a screen’s code is fetched while its link is stayed on, not when it is passed by', async ({ page }) => {
  await page.goto(PATH)
  await expect(rows(page).first()).toBeVisible()
  await page.clock.install()
  await page.clock.pauseAt(Date.now() + 60_000)
  const styles = (name: string) => page.locator(`link[rel=stylesheet][href*="/_nuxt/${name}."]`)
  const link = (name: string) => page.getByRole('navigation', { name: 'Areas' }).getByRole('link', { name })
  await link('Rivals').focus()
  await page.clock.runFor(200)
  await page.keyboard.press('Tab')
  await expect(link('Desk')).toBeFocused()
  await page.clock.runFor(200)
  await page.keyboard.press('Tab')
  await expect(link('Release')).toBeFocused()
  await page.clock.runFor(400)
  await expect(styles('release')).toHaveCount(1)
  await expect(styles('rivals')).toHaveCount(0)
  await expect(styles('desk')).toHaveCount(0)
  await link('Rivals').hover()
  await page.clock.runFor(100)
  await expect(styles('rivals')).toHaveCount(1)
})

test('no style sheet that comes later has layers, by which all of the page would be laid out anew', () => {
  const folder = join(process.cwd(), '.output/public/_nuxt')
  const layered = readdirSync(folder).filter(
    name => name.endsWith('.css') && readFileSync(join(folder, name), 'utf8').includes('@layer'),
  )
  expect(layered).toEqual([expect.stringMatching(/^entry\./u)])
})
