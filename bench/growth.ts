import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { v7 as uuid } from 'uuid'
import { call, startApp, type RunningApp } from '../tests/e2e/startApp'
import { fillBriefs, fillRanks, fillVideos } from './fill'
import type { GrowthOf } from './growthChart'
import { quantile, times } from './measure'

/** Each thing is asked for so many times. */
const ASKED = 12

type Ask = (app: RunningApp, run: number) => Promise<unknown>
interface Subject {
  /** Names the chart in docs/. */
  file: string
  what: string
  sizes: readonly number[]
  fill: (file: string, size: number) => void
  lines: readonly { name: string; ask: Ask }[]
}

/** An answer that has to come. */
const get =
  (path: string): Ask =>
  async app => {
    const { status, text } = await call(app, path as '/api/briefs')
    if (status !== 200) throw new Error(`${path}: ${text.slice(0, 200)}`)
  }

/** An edit of a brief of its own. */
function edit(): Ask {
  let id = ''
  let revision = 0
  return async app => {
    if (!id) id = (await call(app, '/api/briefs', { method: 'POST', body: { fields: { topic: 'Edited' } } })).json.id
    const body = { editId: uuid(), fields: { title: { revision: revision++, value: `Title ${revision}` } } }
    const { status, text } = await call(app, `/api/briefs/${id}`, { method: 'PATCH', body })
    if (status !== 200) throw new Error(`An edit: ${text.slice(0, 200)}`)
  }
}

const SUBJECTS: (() => Subject)[] = [
  () => ({
    file: 'scale-briefs',
    what: 'briefs, 150 history entries each',
    sizes: [10, 100, 1000, 3000],
    fill: (file, briefs) => fillBriefs(file, { briefs, history: 150 * briefs }),
    lines: [
      { name: 'the list of briefs', ask: get('/api/briefs') },
      { name: 'what next', ask: get('/api/next') },
      { name: 'find anything', ask: get('/api/find?q=wheel') },
      { name: 'an edit saved', ask: edit() },
    ],
  }),
  () => ({
    file: 'scale-videos',
    what: 'videos of one’s own',
    sizes: [20, 200, 2000, 10_000],
    fill: fillVideos,
    lines: [
      { name: 'the list of videos', ask: get('/api/videos/texts') },
      { name: 'leading on', ask: get('/api/ranks/leading-on') },
      { name: 'what next', ask: get('/api/next') },
      { name: 'find anything', ask: get('/api/find?q=wheel') },
      { name: 'related phrases', ask: get('/api/phrases?seed=bike&region=GB&limit=200&for=channel') },
    ],
  }),
  () => ({
    file: 'scale-ranks',
    what: 'ranks kept, 365 days each',
    sizes: [100, 1000, 10_000],
    fill: (file, ranks) => {
      fillRanks(file, { videos: ranks / 50, phrases: 50, regions: ['GB'] })
    },
    lines: [
      { name: 'all ranks, 100 rows', ask: get('/api/ranks/channel?region=GB&limit=100') },
      { name: 'a video, 50 phrases', ask: get('/api/ranks?videoId=bench-1&region=GB&kind=site') },
      { name: 'a year of one', ask: get('/api/ranks?videoId=bench-1&phrase=bench%20phrase%2070&region=GB&kind=site') },
      { name: 'mine beside mine', ask: get('/api/ranks/together?region=GB') },
      { name: 'what next', ask: get('/api/next') },
    ],
  }),
]

/** How answers slow down as briefs, videos and ranks grow, with the demo's data beside them. */
export async function benchGrowth(say: (what: string) => void): Promise<(GrowthOf & { file: string })[]> {
  const charts: (GrowthOf & { file: string })[] = []
  for (const subject of SUBJECTS) {
    const { file, what, sizes, fill } = subject()
    const lines = subject().lines.map(({ name }) => ({ name, ms: [] as number[] }))
    for (const size of sizes) {
      say(`${size.toLocaleString('en')} ${what}`)
      const filled = await startApp()
      await filled.kill()
      fill(join(filled.data, 'fonetra.sqlite'), size)
      const app = await startApp({ data: filled.data })
      try {
        for (const [i, { ask }] of subject().lines.entries()) {
          const took = await times(ASKED, 2, run => ask(app, run))
          lines[i]!.ms.push(
            quantile(
              [...took].sort((a, b) => a - b),
              0.5,
            ),
          )
        }
      } finally {
        await app.kill()
        rmSync(filled.data, { recursive: true, force: true })
      }
    }
    charts.push({ file, what, sizes, lines })
  }
  return charts
}
