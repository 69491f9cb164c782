import sharp from 'sharp'
import { call, startApp, type RunningApp } from '../tests/e2e/startApp'
import { times, timing, type Timing } from './measure'
import { mostResident } from './server'

const LEAD = 'how to clean bike chain'
/** Noise as a camera might have taken it: nothing of it packs well. */
const photo = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, noise: { type: 'gaussian', mean: 128, sigma: 60 } } } as never)

/** Pictures looked at among those of a page, and a very large one beside which others ask. */
export async function benchPictures(): Promise<Timing[]> {
  const app = await startApp()
  try {
    const body = await photo(1920, 1080).blur(2).jpeg({ quality: 88 }).toBuffer()
    const large = await photo(8000, 6000).jpeg({ quality: 97, chromaSubsampling: '4:4:4' }).toBuffer()
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
    let sent = false
    const sending = times(1, 0, () =>
      call(app, `/api/briefs/${id}/thumbnails?name=large`, { method: 'POST', raw: large }),
    )
    void sending.then(() => (sent = true))
    while (!sent) {
      beside.push(...(await times(1, 0, () => call(app, '/api/briefs'))))
      await new Promise(resolve => setTimeout(resolve, 10))
    }
    const size = `${Math.round(large.length / 1e6)} MB, 48 million pixels`
    return [
      timing('the pictures of a page and a candidate, for the first time', '20 pictures', [first!], null),
      timing('the same again', '20 pictures', warm, 400),
      timing('a candidate sent and analysed among them', '1,920 × 1,080', analysed, 60),
      timing(
        `a large photo kept as a candidate (${Math.round(mostResident(app.process.pid!) - before)} MB more resident)`,
        size,
        await sending,
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
