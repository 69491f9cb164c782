import { Worker } from 'node:worker_threads'
import sharp from 'sharp'
import { call, startApp, type RunningApp } from '../tests/e2e/startApp'
import { mostResident, times, timing, type Timing } from './measure'

const LEAD = 'how to clean bike chain'
/** Noise as a camera might have taken it: nothing of it packs well. */
const photo = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, noise: { type: 'gaussian', mean: 128, sigma: 60 } } } as never)

/** Asks again and again, and tells how long each answer took. */
const ASK = `const { parentPort, workerData } = require('node:worker_threads')
  const ask = async () => {
    const startedAt = performance.now()
    await (await fetch(workerData)).text()
    parentPort.postMessage(performance.now() - startedAt)
    setTimeout(ask, 5)
  }
  ask()`

/** Pictures looked at among those of a page, and a very large one beside which others ask. */
export async function benchPictures(): Promise<Timing[]> {
  const app = await startApp()
  try {
    const body = await photo(1920, 1080).blur(2).jpeg({ quality: 88 }).toBuffer()
    const large = await photo(8000, 6000).jpeg({ quality: 94 }).toBuffer()
    const id = await briefOf(app)
    await call(app, `/api/briefs/${id}/thumbnails?name=one`, { method: 'POST', raw: body })
    const look = () => call(app, `/api/briefs/${id}/thumbnails`)
    const [first] = await times(1, 0, look)
    const warm = await times(30, 2, look)
    const analysed = await times(40, 4, () =>
      call(app, `/api/thumbnails/analyse?phrase=${encodeURIComponent(LEAD)}&region=GB`, { method: 'POST', raw: body }),
    )
    const before = mostResident(app.process.pid!)
    const beside: number[] = []
    // The first list scores every brief.
    await call(app, '/api/briefs')
    // From a thread of its own: this one is busy sending.
    const asker = new Worker(ASK, { eval: true, workerData: `${app.url}/api/briefs` })
    asker.on('message', (took: number) => beside.push(took))
    const sending = times(1, 0, () =>
      call(app, `/api/briefs/${id}/thumbnails?name=large`, { method: 'POST', raw: large }),
    )
    const kept = await sending
    await asker.terminate()
    const size = `${Math.round(large.length / 1e6)} MB, 48 million pixels`
    return [
      timing('the pictures of a page and a candidate, for the first time', '20 pictures', [first!], null),
      timing('the same again', '20 pictures', warm, 400),
      timing('a candidate sent and analysed among them', '1,920 × 1,080', analysed, 60),
      timing(
        `a large photo kept as a candidate (${Math.round(mostResident(app.process.pid!) - before)} MB more resident)`,
        size,
        kept,
        null,
      ),
      timing('the list of briefs answered meanwhile', `${beside.length} times`, beside, 100, 'most'),
    ]
  } finally {
    await app.close()
  }
}

const briefOf = async (app: RunningApp) =>
  (
    await call(app, '/api/briefs', {
      method: 'POST',
      body: { fields: { topic: 'Pictures', region: 'GB', tray: { lead: LEAD, support: [], setAside: [] } } },
    })
  ).json.id
