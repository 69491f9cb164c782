import { rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { Worker } from 'node:worker_threads'
import { openUserData } from '../server/data/open'
import { call, startApp } from '../tests/e2e/startApp'
import { fillRanks } from './fill'
import { times, timing, type Timing } from './measure'

/** A year of a channel that looks many of its phrases up each day. */
export const YEAR = { videos: 200, phrases: 50, regions: ['GB', 'US', 'DE'] }
/** Pages of a daily watch. */
const PAGES = 5000

/** What a data file that no server has open takes, its log included. */
function bytesOf(file: string): number {
  const db = openUserData(file, { migrations: join(process.cwd(), 'server/data/migrations') })
  db.pragma('wal_checkpoint(TRUNCATE)')
  db.close()
  return statSync(file).size
}

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
    const file = join(data, 'fonetra.sqlite')
    const before = bytesOf(file)
    const rows = fillRanks(file, YEAR)
    const bytes = bytesOf(file) - before
    const again = await startApp({ data })
    try {
      const ask = (more: string) => () => call(again, `/api/ranks?videoId=bench-7${more}`)
      const curve = await times(40, 3, ask('&phrase=bench%20phrase%207&region=GB&kind=site'))
      const table = await times(20, 2, ask('&region=GB&kind=site'))
      const channel = await times(20, 2, () => call(again, '/api/ranks/channel?region=GB&limit=100'))
      return [
        ...watch,
        timing('a year of a video for a phrase', `${rows.toLocaleString('en')} ranks kept`, curve, 50),
        timing('the table of a channel, 100 rows', '10,000 ranks of 200 videos', channel, 100),
        timing('a year of a video for fifty phrases', `${(bytes / rows).toFixed(1)} bytes a rank`, table, 300),
      ]
    } finally {
      await again.close()
    }
  } finally {
    rmSync(data, { recursive: true, force: true })
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
