import { chromium } from '@playwright/test'
import { coverEverything } from '../core/draft/cover'
import { DEFAULT_PROFILE } from '../core/draft/limits'
import { BALANCED } from '../core/draft/ruleset'
import { packTags } from '../core/draft/tags'
import { seeded } from '../core/random'
import { titleIdeas } from '../core/titles/ideas'
import { CHROMIUM, CHROMIUM_ARGS } from '../tests/e2e/chromium'
import { call, startApp, type RunningApp } from '../tests/e2e/startApp'
import { fullDraft } from './check'
import { times, timing, type Timing } from './measure'

/** Keys typed, one by one. */
const KEYS = 500
const TYPED = 'what to do when the chain skips on the smallest sprocket and nothing else helps. '

/** What the Desk works out at once: ideas for a title, packed tags, every phrase in its place. */
async function composed(): Promise<Timing[]> {
  const { draft, phrases, context } = fullDraft()
  const question = {
    phrases,
    language: 'en',
    ruleSet: BALANCED,
    profile: DEFAULT_PROFILE,
    pageTitles: Array.from({ length: 12 }, (_, i) => context.page.map(each => `${each.title} ${i}`)).flat(),
    year: 2026,
    brand: 'Marrowby Wheels',
    count: 30,
  }
  const random = seeded(7)
  const candidates = Array.from({ length: 500 }, (_, i) => ({
    tag: `${'tag'.repeat(1 + Math.floor(random() * 8))} ${i}`,
    value: random(),
  }))
  const bare = { title: 'A film', description: 'You will see it.', tags: ['film'] }
  return [
    timing(
      '30 ideas for a title',
      `${1 + phrases.support.length} phrases, ${question.pageTitles.length} titles of pages`,
      await times(60, 40, run => titleIdeas({ ...question, seed: run + 100 })),
      50,
    ),
    timing(
      'tags packed',
      '500 candidates, 500 characters',
      await times(100, 100, () => packTags(candidates, 'bike chain', DEFAULT_PROFILE, ['wax'])),
      5,
    ),
    timing(
      'every phrase put in its place',
      `${1 + phrases.support.length} phrases, short text`,
      await times(40, 40, () => coverEverything(bare, phrases, BALANCED, DEFAULT_PROFILE, 'en', context)),
      null,
    ),
    timing(
      'the same in a full text',
      `${draft.description.length.toLocaleString('en')} characters`,
      await times(20, 10, () => coverEverything(draft, phrases, BALANCED, DEFAULT_PROFILE, 'en', context)),
      null,
    ),
  ]
}

/** Suggestions for a rack, as the server answers them; searches of misspellings are known after the first. */
export async function suggested(app: RunningApp, question: object, sizes: string, goal: number): Promise<Timing> {
  const body = { region: 'GB', language: 'en', ...question }
  const list = await times(40, 5, async () => {
    const { status, text } = await call(app, '/api/tags/suggest', { method: 'POST', body })
    if (status !== 200) throw new Error(`No suggestions: ${text.slice(0, 300)}`)
  })
  return timing('suggestions for the tags of a brief', sizes, list, goal)
}

/** What a demo brief asks for. */
async function demoQuestion(app: RunningApp) {
  const { briefs } = (await call(app, '/api/briefs')).json
  const { fields } = (await call(app, `/api/briefs/${briefs.find(each => each.lead)!.id}`)).json
  return {
    draft: { title: fields.title, description: fields.description, tags: fields.tags },
    phrases: { lead: fields.tray.lead ?? '', support: fields.tray.support },
  }
}

/** What a key costs the page's own thread while a long description is written: scripts, styles and layout. */
async function typed(app: RunningApp): Promise<Timing[]> {
  const { draft, phrases } = fullDraft()
  const fields = {
    topic: 'Typing',
    region: 'GB',
    title: draft.title,
    description: draft.description.slice(0, 5000 - KEYS),
    tags: draft.tags,
    tray: { ...phrases, setAside: [] },
  }
  const { id } = (await call(app, '/api/briefs', { method: 'POST', body: { fields } })).json
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.goto(`${app.url}/desk?brief=${id}`)
    await page.locator('[data-test=percent]').waitFor()
    const session = await page.context().newCDPSession(page)
    await session.send('Performance.enable')
    /** Seconds the main thread has worked so far, waiting for the frames after a key to be drawn. */
    const spent = async () => {
      await page.evaluate(
        () => new Promise(done => requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(done, 0)))),
      )
      const { metrics } = await session.send('Performance.getMetrics')
      const of = (name: string) => metrics.find(each => each.name === name)?.value ?? 0
      return of('ScriptDuration') + of('LayoutDuration') + of('RecalcStyleDuration')
    }
    await page
      .locator('[data-test=description]')
      .locator('.cm-content')
      .click({ position: { x: 40, y: 12 } })
    await page.keyboard.press('Control+End')
    const list: number[] = []
    let before = await spent()
    for (let i = -20; i < KEYS; i++) {
      await page.keyboard.type(TYPED[(i + 20) % TYPED.length]!)
      const after = await spent()
      if (i >= 0) list.push((after - before) * 1000)
      before = after
    }
    const p99 = [...list].sort((a, b) => a - b)[Math.ceil(KEYS * 0.99) - 1]!
    const sizes = `${KEYS} keys in 5,000 characters, ${1 + phrases.support.length} phrases`
    return [
      timing('main thread per key typed', sizes, list, 8, 'median'),
      timing('the 99th of a hundred of them', sizes, [p99], 33, 'most'),
    ]
  } finally {
    await browser.close()
  }
}

/** What the Desk costs. */
export async function benchDesk(): Promise<Timing[]> {
  const app = await startApp()
  try {
    return [
      ...(await composed()),
      await suggested(app, await demoQuestion(app), 'demo data', 150),
      ...(await typed(app)),
    ]
  } finally {
    await app.close()
  }
}
