import Database from 'better-sqlite3'
import { cpSync, mkdirSync, mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { v7 as uuid } from 'uuid'
import { ensureWorld } from '../demo/world'
import { call, startApp, type RunningApp } from '../tests/e2e/startApp'
import { times, timing, type Timing } from './measure'
import { fillBriefs, fillPages, fillRanks } from './fill'
import { YEAR } from './ranks'

const BRIEFS = 300
const HISTORY = 50_000
/** A list is asked for so many times. */
const ASKED = 15
const EDITS = 200
/** Pages that are looked at every day. */
const PAGES = 5000

const LISTS = [
  ['briefs', '/api/briefs'],
  ['phrase lists', '/api/lists'],
  ['videos of one’s own', '/api/videos/texts'],
  ['watched phrases', '/api/watches?limit=100'],
  ['the channel’s table of ranks, 100 rows', '/api/ranks/channel?region=GB&limit=100'],
  ['related phrases', '/api/phrases?seed=bike&region=GB&limit=200'],
  ['anything found', '/api/find?q=wheel'],
  ['places', '/api/places'],
  ['backups', '/api/data'],
] as const

/** How long edits wait while something else is done. @param most edits at most. */
async function edited(
  app: RunningApp,
  work: () => Promise<unknown>,
  most = EDITS,
): Promise<{ waits: number[]; seconds: number }> {
  const { id } = (await call(app, '/api/briefs', { method: 'POST', body: { fields: { topic: 'Edited' } } })).json
  const waits: number[] = []
  let over = false
  const startedAt = performance.now()
  const done = work().finally(() => {
    over = true
  })
  for (let i = 0; i < most && !(over && i > 20); i++) {
    const from = performance.now()
    const body = { editId: uuid(), fields: { title: { revision: i, value: `Title ${i}` } } }
    const { status } = await call(app, `/api/briefs/${id}`, { method: 'PATCH', body })
    if (status !== 200) throw new Error(`An edit was answered ${status}.`)
    waits.push(performance.now() - from)
    await new Promise(then => setTimeout(then, 50))
  }
  await done
  return { waits, seconds: (performance.now() - startedAt) / 1000 }
}

/** Pages of the file that stay free for what comes next, and some. */
const FREE = 2500

/** Answered once old pages were dropped and their room was given back. @param pages left then, at most. */
async function thinned(file: string, pages: number): Promise<void> {
  const db = new Database(file, { readonly: true })
  try {
    const left = db.prepare<[], number>('SELECT count(*) FROM result_page').pluck()
    const free = () => Number(db.pragma('freelist_count', { simple: true }))
    do await new Promise(then => setTimeout(then, 2000))
    while (left.get()! > pages || free() > FREE)
  } finally {
    db.close()
  }
}

/** The workspace acts for the demo's channel. */
async function chooseChannel(data: string): Promise<void> {
  const app = await startApp({ data })
  try {
    const { workspaces } = (await call(app, '/api/workspaces')).json
    const body = { channelId: 'ch-marrowby', subscribers: 4870 }
    const { status, text } = await call(app, `/api/workspaces/${workspaces[0]!.id}`, { method: 'PATCH', body })
    if (status !== 200) throw new Error(`The channel could not be chosen: ${text}`)
  } finally {
    await app.kill()
  }
}

/**
 * A store as it is after a year of much work.
 * @param from a folder filled by `npm run large`.
 * @returns timings, and the bytes of the data file before and after its old pages were dropped.
 */
export async function benchYear(from: string): Promise<{ timings: Timing[]; before: number; after: number }> {
  const data = mkdtempSync(join(tmpdir(), 'fonetra-year-'))
  const timings: Timing[] = []
  try {
    cpSync(join(from, 'fonetra.sqlite'), join(data, 'fonetra.sqlite'))
    ensureWorld(join(data, 'world.sqlite'))
    mkdirSync(join(data, 'pictures'))
    const file = join(data, 'fonetra.sqlite')
    await chooseChannel(data)
    fillBriefs(file, { briefs: BRIEFS, history: HISTORY })
    fillRanks(file, YEAR)
    const { unneeded, left } = fillPages(file, PAGES)
    const before = statSync(file).size
    // The daily backup comes when it is looked at.
    const daily = join(data, 'backups', `fonetra-${new Date().toISOString().replace(/[:.]/gu, '-')}-daily.sqlite`)
    mkdirSync(join(data, 'backups'))
    writeFileSync(daily, '')
    timings.push(...(await asYouWork(data)))
    rmSync(daily)
    timings.push(...(await dropping(data, left, unneeded)))
    return { timings, before, after: statSync(file).size }
  } finally {
    rmSync(data, { recursive: true, force: true })
  }
}

/** Opening, the lists, and edits while a backup and an archive are made. */
async function asYouWork(data: string): Promise<Timing[]> {
  const timings: Timing[] = []
  const sizes = `${BRIEFS} briefs, ${HISTORY.toLocaleString('en')} history entries, 11 million ranks, 5,000 pages watched, 1,000,000 phrases`
  const startedAt = performance.now()
  const app = await startApp({ data })
  try {
    timings.push(timing('opening after a year', sizes, [performance.now() - startedAt], 4000, 'most'))
    for (const [name, path] of LISTS) {
      const list = await times(ASKED, 2, async () => {
        const { status, text } = await call(app, path as '/api/briefs')
        if (status !== 200) throw new Error(`${path}: ${text.slice(0, 200)}`)
      })
      timings.push(timing(`after a year: ${name}`, path, list, 100))
    }
    const backup = await edited(app, () => call(app, '/api/data/backups', { method: 'POST' }))
    timings.push(timing('an edit saved while a backup is made', `${backup.seconds.toFixed(0)} s`, backup.waits, 100))
    const archive = await edited(app, async () => {
      const answer = await fetch(`${app.url}/api/data/archive`)
      for (const reader = answer.body!.getReader(); !(await reader.read()).done;);
    })
    timings.push(
      timing('an edit saved while an archive is made', `${archive.seconds.toFixed(0)} s`, archive.waits, 100),
    )
    return timings
  } finally {
    await app.kill()
  }
}

/** Edits while the daily backup is made, old pages are dropped and their room is given back to the disk. */
async function dropping(data: string, left: number, unneeded: number): Promise<Timing[]> {
  const app = await startApp({ data })
  try {
    const { waits, seconds } = await edited(app, () => thinned(join(data, 'fonetra.sqlite'), left), Infinity)
    const sizes = `${unneeded.toLocaleString('en')} pages, ${seconds.toFixed(0)} s with the backup before it`
    return [timing('an edit saved while old pages are dropped and their room is given back', sizes, waits, 100)]
  } finally {
    await app.close()
  }
}
