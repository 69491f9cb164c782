import { rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { Worker } from 'node:worker_threads'
import { rankDay } from '../core/ranks/standing'
import { seeded } from '../core/random'
import { DAY } from '../core/time'
import { standAgain } from '../server/data/channelSeries'
import { openUserData } from '../server/data/open'
import { call, startApp } from '../tests/e2e/startApp'
import { times, timing, type Timing } from './measure'

const VIDEOS = 200
const PHRASES = 50
const REGIONS = ['GB', 'US', 'DE']
const DAYS = 365
/** Pages of a daily watch. */
const PAGES = 5000

/** Asks again and again, and tells how long each answer took. */
const ASK = `const { parentPort, workerData } = require('node:worker_threads')
  const ask = async () => {
    const startedAt = performance.now()
    await (await fetch(workerData)).text()
    parentPort.postMessage(performance.now() - startedAt)
    setTimeout(ask, 20)
  }
  ask()`

/** Millions of ranks in the user's file, and a day's watch of thousands of pages. */
export async function benchRanks(): Promise<Timing[]> {
  const app = await startApp()
  let data = ''
  try {
    data = app.data
    const watch = await dailyWatch(app.url, app)
    await app.kill()
    const { bytes, rows } = fillYear(join(data, 'fonetra.sqlite'))
    const again = await startApp({ data })
    try {
      const ask = (more: string) => () => call(again, `/api/ranks?videoId=bench-7${more}`)
      const curve = await times(40, 3, ask('&phrase=bench%20phrase%207&region=GB&kind=site'))
      const table = await times(20, 2, ask('&region=GB&kind=site'))
      const channel = await times(20, 2, () => call(again, '/api/ranks/channel?region=GB'))
      return [
        ...watch,
        timing('a year of a video for a phrase', `${rows.toLocaleString('en')} ranks kept`, curve, 50),
        timing('the table of a channel', '10,000 ranks of 200 videos', channel, 300),
        timing('a year of a video for fifty phrases', `${(bytes / rows).toFixed(1)} bytes a rank`, table, 300),
      ]
    } finally {
      await again.close()
    }
  } finally {
    rmSync(data, { recursive: true, force: true })
  }
}

/** A year of ranks of many videos, written as plain SQL. @returns what they take on disk. */
export function fillYear(file: string): { bytes: number; rows: number } {
  const db = openUserData(file, { migrations: join(process.cwd(), 'server/data/migrations') })
  try {
    db.pragma('synchronous = OFF')
    db.pragma('wal_checkpoint(TRUNCATE)')
    const before = statSync(file).size
    const random = seeded(5)
    const phrase = db.prepare('INSERT INTO phrase (language, text, words) VALUES (?, ?, 3)')
    const series = db.prepare('INSERT INTO rank_series (video, phrase_id, region, kind) VALUES (?, ?, ?, ?)')
    const day = db.prepare('INSERT INTO rank_day (series_id, day, rank, depth) VALUES (?, ?, ?, 60)')
    const today = rankDay(Date.now())
    const channel = db.prepare<[], string>('SELECT channel_id FROM workspace LIMIT 1').pluck().get()!
    const made = db.prepare('INSERT INTO video (code, channel_id, title, published_at, at) VALUES (?, ?, ?, ?, ?)')
    db.transaction(() => {
      for (let video = 0; video < VIDEOS; video++) {
        made.run(`bench-${video}`, channel, `Bench video ${video}`, Date.now() - 400 * DAY, Date.now())
        for (let p = 0; p < PHRASES; p++) {
          const id = phrase.run('en', `bench phrase ${video * PHRASES + p}`).lastInsertRowid
          for (const region of REGIONS) {
            const of = series.run(`bench-${video}`, id, region, 'site').lastInsertRowid
            for (let ago = DAYS; ago > 0; ago--) {
              const rank = 1 + Math.floor(80 * random())
              day.run(of, today - ago, rank > 60 ? null : rank)
            }
          }
        }
      }
      const standAnew = standAgain(db)
      for (const id of db.prepare<[], number>('SELECT id FROM rank_series').pluck().all()) standAnew(id)
    })()
    db.pragma('wal_checkpoint(TRUNCATE)')
    return { bytes: statSync(file).size - before, rows: VIDEOS * PHRASES * REGIONS.length * DAYS }
  } finally {
    db.close()
  }
}

/** Thousands of pages watched: how long a day's look takes, and how long others wait meanwhile. */
async function dailyWatch(url: string, app: Awaited<ReturnType<typeof startApp>>): Promise<Timing[]> {
  const { rows } = (await call(app, `/api/phrases?seed=bike&region=GB&limit=500`)).json as {
    rows: { phrase: string }[]
  }
  const { videos } = (await call(app, '/api/videos/texts')).json as unknown as { videos: { id: string }[] }
  const regions = ['GB', 'US', 'DE', 'FR', 'CA', 'AU', 'IE', 'NZ', 'IN', 'ES', 'IT']
  const startedAt = performance.now()
  const waits: number[] = []
  const asker = new Worker(ASK, { eval: true, workerData: `${url}/api/briefs` })
  asker.on('message', (took: number) => waits.push(took))
  for (let from = 0; from < rows.length; from += 200)
    await call(app, '/api/watches', {
      method: 'POST',
      body: {
        videoId: videos[0]!.id,
        phrases: rows.slice(from, from + 200).map(({ phrase }) => phrase),
        regions: regions.slice(0, Math.ceil(PAGES / rows.length)),
      },
    })
  for (;;) {
    const { watches } = (await call(app, `/api/watches?videoId=${videos[0]!.id}`)).json as {
      watches: { last: string | null }[]
    }
    const { jobs } = (await call(app, '/api/jobs')).json as { jobs: { kind: string; state: string }[] }
    if (watches.every(({ last }) => last !== null) && !jobs.some(({ state }) => state === 'running')) {
      const took = performance.now() - startedAt
      await asker.terminate()
      return [
        timing('a day of a watch', `${watches.length.toLocaleString('en')} pages`, [took], 300_000),
        timing('the list of briefs answered meanwhile', `${waits.length} times`, waits, 100),
      ]
    }
    await new Promise(resolve => setTimeout(resolve, 2000))
  }
}
