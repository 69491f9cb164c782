import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { chromium, type Page } from '@playwright/test'
import { CHROMIUM, CHROMIUM_ARGS } from '../tests/e2e/chromium'
import { call, startApp, type RunningApp } from '../tests/e2e/startApp'
import { fullDraft } from './check'
import { timing, type Timing } from './measure'
import { fillYear } from './ranks'

/** Times the processor is slowed, and interactions of each screen. */
const SLOWED = 4
const INTERACTIONS = 200

/** Milliseconds of each interaction as the browser itself times them: from the press to the next frame. */
async function interactions(page: Page, act: (i: number) => Promise<unknown>): Promise<number[]> {
  await page.evaluate(() => {
    const longest = new Map<number, number>()
    Object.assign(window, { longest })
    new PerformanceObserver(list => {
      for (const entry of list.getEntries() as (PerformanceEntry & { interactionId: number })[])
        if (entry.interactionId)
          longest.set(entry.interactionId, Math.max(longest.get(entry.interactionId) ?? 0, entry.duration))
    }).observe({ type: 'event', durationThreshold: 16 } as PerformanceObserverInit)
  })
  const session = await page.context().newCDPSession(page)
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWED })
  for (let i = 0; i < INTERACTIONS; i++) {
    await act(i)
    await page.evaluate(() => new Promise(done => requestAnimationFrame(() => setTimeout(done, 0))))
  }
  await session.send('Emulation.setCPUThrottlingRate', { rate: 1 })
  const slow = await page.evaluate(() => [...(window as unknown as { longest: Map<number, number> }).longest.values()])
  // Those under the browser's own threshold are not told one by one.
  return [...slow, ...Array.from({ length: Math.max(0, INTERACTIONS - slow.length) }, () => 16)]
}

interface Screen {
  name: string
  path: string
  ready: string
  act: (page: Page) => (i: number) => Promise<unknown>
}

const LETTERS = 'the chain runs over the pulley and wears '
const SCREENS: Screen[] = [
  {
    name: 'Demand',
    path: '/demand?seed=bike&region=GB',
    ready: '[data-test=phrase-row] .difficulty',
    act: page => i =>
      i % 10 === 0
        ? page.locator(`[data-test=sort-${i % 20 ? 'volume' : 'worth'}]`).click()
        : i % 10 === 1
          ? page.locator('[data-test=phrase-row] input').first().click()
          : page.keyboard.press('ArrowDown'),
  },
  {
    name: 'Rivals',
    path: '/rivals?phrase=how+to+clean+bike+chain&region=GB',
    ready: '[data-test=rival]',
    act: page => i =>
      i % 2
        ? page
            .locator('[data-test=open-rival]')
            .nth(i % 8)
            .click()
        : page
            .locator(`[data-test^=order-]`)
            .nth(i % 3)
            .click(),
  },
]

async function shown(app: RunningApp, { name, path, ready, act }: Screen): Promise<Timing> {
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.goto(app.url + path)
    await page.locator(ready).first().waitFor()
    const list = await interactions(page, act(page))
    const sizes = `${INTERACTIONS} interactions, the processor slowed ${SLOWED} times`
    return timing(`under hand: ${name}`, sizes, list, 200, 'p98')
  } finally {
    await browser.close()
  }
}

/** A brief with a full text. */
async function fullBrief(app: RunningApp): Promise<string> {
  const { draft, phrases } = fullDraft()
  const { title, description, tags } = draft
  const fields = { topic: 'Under hand', region: 'GB', title, tags, tray: { ...phrases, setAside: [] } }
  const body = { fields: { ...fields, description: description.slice(0, 5000 - INTERACTIONS) } }
  return (await call(app, '/api/briefs', { method: 'POST', body })).json.id
}

/** How long a screen takes to answer a hand on a slow machine; goal 200 ms for 98 of 100. */
export async function benchHand(): Promise<Timing[]> {
  const app = await startApp()
  const timings: Timing[] = []
  try {
    for (const screen of SCREENS) timings.push(await shown(app, screen))
    const brief = await fullBrief(app)
    timings.push(
      await shown(app, {
        name: 'Desk with a full text',
        path: `/desk?brief=${brief}`,
        ready: '[data-test=percent]',
        act: page => async i => {
          if (i === 0) return page.locator('[data-test=description] .cm-content').click({ position: { x: 40, y: 12 } })
          return page.keyboard.type(LETTERS[i % LETTERS.length]!)
        },
      }),
    )
    await app.kill()
    fillYear(join(app.data, 'fonetra.sqlite'))
    const again = await startApp({ data: app.data })
    try {
      timings.push(
        await shown(again, {
          name: 'Ranks with a year',
          path: '/ranks?video=bench-7&region=GB',
          ready: '[data-test=rank-row]',
          act: page => i =>
            page
              .locator('[data-test=rank-row]')
              .nth(i % 12)
              .click(),
        }),
      )
    } finally {
      await again.close()
    }
    return timings
  } finally {
    rmSync(app.data, { recursive: true, force: true })
  }
}
