import { join } from 'node:path'
import { chromium, type Browser, type Page } from '@playwright/test'
import { CHROMIUM, CHROMIUM_ARGS } from '../tests/e2e/chromium'
import { call, startApp, type RunningApp } from '../tests/e2e/startApp'
import { fillRanks } from './fill'
import { timing, type Timing } from './measure'

/** How many times slower the processor is made. */
const SLOWED = 4
const GOAL = 200
/** Times that each screen is used, by which there are two hundred interactions with it at least. */
const ROUNDS = 4
/** Milliseconds between two interactions, as of somebody quick. */
const PAUSE = 60
/** What the browser tells no duration of is shorter than this. */
const LEAST = 16

interface Screen {
  name: string
  path: string
  /** What has to be there first. */
  ready: string
  /** Uses it: what is pressed, clicked and typed counts. */
  use: (page: Page) => Promise<void>
}

const press = async (page: Page, key: string, times = 1) => {
  for (let i = 0; i < times; i++) {
    await page.keyboard.press(key)
    await page.waitForTimeout(PAUSE)
  }
}
/** Clicks each of what is found, as far as it is there. @param closes whether each opens a dialog. */
const clicks = async (page: Page, selector: string, most: number, closes = false) => {
  const found = page.locator(selector)
  for (let i = 0; i < Math.min(most, await found.count()); i++) {
    await found.nth(i).click({ timeout: 20_000 })
    await page.waitForTimeout(PAUSE)
    if (!closes) continue
    // Its code may be on its way: a key pressed before it is there would not be its own.
    const dialog = page.locator('.v-dialog.v-overlay--active')
    await dialog.waitFor()
    await press(page, 'Escape')
    await dialog.waitFor({ state: 'detached' })
  }
}
const type = async (page: Page, text: string) => {
  for (const sign of text) await press(page, sign)
}

const SENTENCES = 'The chain runs over two pulleys and wears both of them; look at it each spring. '

async function screens(app: RunningApp): Promise<Screen[]> {
  const { id } = (
    await call(app, '/api/briefs', {
      method: 'POST',
      body: {
        fields: {
          ...{ topic: 'Under hand', region: 'GB', title: 'Rear derailleur adjustment at home', language: 'en' },
          description: SENTENCES.repeat(60).slice(0, 4900),
          tags: ['rear derailleur', 'derailleur adjustment', 'bike repair', 'indexing'],
          tray: { lead: 'rear derailleur adjustment', support: ['bike gears', 'derailleur hanger'], setAside: [] },
        },
      },
    })
  ).json
  return [
    {
      name: 'Demand',
      path: '/demand?seed=bike&region=GB',
      ready: '[data-test=phrase-row] .difficulty',
      use: async page => {
        await page.locator('[data-test=phrase-row] input').first().focus()
        await press(page, 'ArrowDown', 12)
        for (let i = 0; i < 6; i++) {
          await press(page, 'Space')
          await press(page, 'ArrowDown')
        }
        await press(page, 'PageDown', 6)
        for (const view of ['2', '1', '3', '1']) await press(page, view)
        await clicks(page, '[data-test=phrase-row] .worth', 4, true)
        await press(page, '/')
        await type(page, ' chain cleaning')
      },
    },
    {
      name: 'Rivals',
      path: '/rivals?phrase=bike+chain&region=GB',
      ready: '[data-test=ladder] tbody tr',
      use: async page => {
        await clicks(page, '[data-test=ladder] th button', 8)
        await clicks(page, '[data-test=ladder] tbody tr td:nth-child(2) button', 8)
        await press(page, 'Escape', 2)
        for (const view of ['2', '1', '3', '1', '4', '1']) await press(page, view)
        await press(page, 'Tab', 30)
      },
    },
    {
      name: 'the Desk, a full text',
      path: `/desk?brief=${id}`,
      ready: '[data-test=ledger]',
      use: async page => {
        await page.locator('[data-test=title] .cm-content').click()
        await press(page, 'End')
        await type(page, ' step by step')
        await page.locator('[data-test=description] .cm-content').click()
        await type(page, 'You will learn how to index a rear derailleur without a stand. ')
        await press(page, 'Backspace', 12)
        await press(page, 'Enter', 3)
        await press(page, 'Control+z', 6)
      },
    },
    {
      name: 'Ranks, a year',
      path: '/ranks?video=bench-1&region=GB',
      ready: '[data-test=ranks] [data-test=rank-row]',
      use: async page => {
        await clicks(page, '[data-test=rank-row]', 12)
        await clicks(page, '[data-test=ranks] th', 7)
        for (const view of ['2', '1', '2', '1']) await press(page, view)
        await press(page, 'Tab', 30)
      },
    },
  ]
}

/** Durations of all interactions with a screen, in milliseconds, as Chromium's Event Timing tells them. */
async function durations(browser: Browser, url: string, { path, ready, use }: Screen): Promise<number[]> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  try {
    const page = await context.newPage()
    await page.addInitScript(() => {
      const found = new Map<number, number>()
      Object.assign(window, { interactions: found })
      new PerformanceObserver(list => {
        for (const entry of list.getEntries() as (PerformanceEntry & { interactionId: number })[])
          if (entry.interactionId)
            found.set(entry.interactionId, Math.max(found.get(entry.interactionId) ?? 0, entry.duration))
      }).observe({ type: 'event', durationThreshold: 16, buffered: true } as PerformanceObserverInit)
    })
    await page.goto(url + path)
    await page.locator(ready).first().waitFor()
    await page.waitForTimeout(1500)
    const session = await context.newCDPSession(page)
    await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWED })
    const told = () =>
      page.evaluate(() => ({
        all: (performance as Performance & { interactionCount: number }).interactionCount,
        slow: [...(window as unknown as { interactions: Map<number, number> }).interactions.values()],
      }))
    const before = await told()
    await use(page)
    await page.waitForTimeout(1000)
    const { all, slow } = await told()
    await session.send('Emulation.setCPUThrottlingRate', { rate: 1 })
    const later = slow.slice(before.slow.length)
    return [...later, ...Array.from({ length: Math.max(0, all - before.all - later.length) }, () => LEAST)]
  } finally {
    await context.close()
  }
}

/** How long the screens take to answer a hand, on a processor that is made slow. */
export async function benchUnderHand(): Promise<Timing[]> {
  const first = await startApp()
  await first.kill()
  fillRanks(join(first.data, 'fonetra.sqlite'), { videos: 4, phrases: 50, regions: ['GB'] })
  const app = await startApp({ data: first.data })
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
  try {
    const timings: Timing[] = []
    for (const screen of await screens(app)) {
      const found: number[] = []
      for (let round = 0; round < ROUNDS; round++) found.push(...(await durations(browser, app.url, screen)))
      const sorted = [...found].sort((a, b) => a - b)
      const high = sorted[Math.ceil(sorted.length * 0.98) - 1]!
      timings.push(
        timing(`under hand: ${screen.name}`, `processor slowed ${SLOWED} times, Event Timing`, found, null),
        timing(`the 98th of a hundred of them`, `${found.length} interactions`, [high], GOAL, 'most'),
      )
    }
    return timings
  } finally {
    await browser.close()
    await app.close()
  }
}
