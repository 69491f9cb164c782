import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { unzipSync, zipSync } from 'fflate'
import sharp from 'sharp'
import { seeded } from '../core/random'
import { BRIEF_NAME } from '../core/release/package'
import { PICTURE_FORMATS, type PictureFormat } from '../core/thumbnail/mend'
import { mutated } from '../tests/setup/mutated'
import { call, startApp, type RunningApp } from '../tests/e2e/startApp'
import { mostResident, resident } from './measure'

/** What the names of a hostile package hold, so that it can be found wherever it is written. */
const MARK = 'fonetra-escaped'
/** Sent side by side. */
const SENDERS = 4
const yes = (met: boolean) => (met ? 'yes' : '**no**')

/** Broken pictures and packages, sent to the server; what comes of them, and what they take. */
export async function benchMutated(files: number): Promise<string[]> {
  const app = await startApp()
  try {
    const random = seeded(41)
    const whole = [...(await pictures()), ...(await packages(app))]
    for (const { path, bytes } of whole) await call(app, path, { method: 'POST', raw: Buffer.from(bytes) })
    const before = resident(app.process.pid!)
    const told = { taken: 0, refused: 0, bad: [] as string[] }
    let sent = 0
    const send = async () => {
      while (sent < files) {
        const { path, bytes } = whole[sent++ % whole.length]!
        const { status } = await call(app, path, { method: 'POST', raw: Buffer.from(mutated(bytes, random)) })
        if (status < 300) told.taken++
        else if (status < 500) told.refused++
        else told.bad.push(`${path} ${status}`)
      }
    }
    await Promise.all(Array.from({ length: SENDERS }, send))
    const most = mostResident(app.process.pid!)
    const left = [app.data, join(app.data, '..'), process.cwd(), join(process.cwd(), '..'), '/', '/tmp']
      .flatMap(folder => readdirSync(folder))
      .filter(name => name.includes(MARK) || name.startsWith('upload-'))
    const many = (value: number) => value.toLocaleString('en')
    return [
      `| pictures and packages with up to six things wrong, sent to be looked at and imported | ${many(files)} | ${many(told.taken)} read, ${many(told.refused)} refused, ${told.bad.length} answered by 5xx; ${left.length} files left or written elsewhere | none: ${yes(!told.bad.length && !left.length)} |`,
      `| · resident memory | ${Math.round(before)} MB before | at most ${Math.round(most)} MB | under 300 MB more: ${yes(most - before < 300)} |`,
    ]
  } finally {
    await app.close()
  }
}

interface Sent {
  path: string
  bytes: Uint8Array
}

/** One of each format: light ones, since each is unpacked whole. */
const pictures = () =>
  Promise.all(
    PICTURE_FORMATS.map(async (format: PictureFormat): Promise<Sent> => ({
      path: '/api/thumbnails/analyse',
      bytes: await sharp({ create: { width: 128, height: 72, channels: 3, background: '#c81414' } })
        [format]()
        .toBuffer(),
    })),
  )

/** The package of a brief, and the same with names that lead out of the folder. */
async function packages(app: RunningApp): Promise<Sent[]> {
  const path = '/api/import/package'
  const { briefs } = (await call(app, '/api/briefs')).json as { briefs: { id: string }[] }
  const answer = await fetch(`${app.url}/api/briefs/${briefs[0]!.id}/package`)
  const plain = new Uint8Array(await answer.arrayBuffer())
  const brief = unzipSync(plain)[BRIEF_NAME]!
  const hostile = zipSync({
    [`../${MARK}-1`]: brief,
    [`/tmp/${MARK}-2`]: brief,
    [`pictures/../../${MARK}-3`]: brief,
    [BRIEF_NAME]: brief,
  })
  return [plain, hostile].map(bytes => ({ path, bytes }))
}
