import { readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import sharp from 'sharp'
import { seeded } from '../../../../core/random'
import { DEFAULT_PROFILE as profile } from '../../../../core/draft/limits'
import { mendPlan, thumbnailFaults, type PictureFormat } from '../../../../core/thumbnail/mend'
import { startPictures, type PictureWork } from '../../../../server/threads/startPictures'
import { mutated } from '../../../setup/mutated'
import { runs } from '../../../setup/runs'
import { builtThread } from '../builtThread'
import { temporaryFolder } from '../files'

const folder = temporaryFolder()
let entry: string
let work: PictureWork
let named = 0

beforeAll(() => {
  entry = builtThread('pictureThread')
  work = startPictures(entry)
})
afterAll(() => work.close())

/** A red picture with a white shape, packed as given. */
const packed = (width: number, height: number, format: PictureFormat) =>
  sharp({ create: { width, height, channels: 3, background: '#c81414' } })
    .composite([
      {
        input: {
          create: { width: Math.ceil(width / 3), height: Math.ceil(height / 2), channels: 3, background: '#fff' },
        },
        left: 0,
        top: 0,
      },
    ])
    [format]()
    .toBuffer()
const written = (bytes: Uint8Array) => {
  const file = join(folder, `picture-${named++}`)
  writeFileSync(file, bytes)
  return file
}
const look = (bytes: Uint8Array) => work.candidate(written(bytes), bytes.length, false)

test.each<PictureFormat>(['jpeg', 'png', 'webp', 'gif', 'avif'])(
  '%s is read with its size and colours',
  async format => {
    const bytes = await packed(320, 180, format)
    const { facts, look: found, legible } = await look(bytes)
    expect(facts).toEqual({ format, width: 320, height: 180, bytes: bytes.length })
    expect(found.palette[0]!.share).toBeCloseTo(5 / 6, 1)
    expect(found.tones.hues.red).toBeGreaterThan(0.75)
    expect(legible.edgesKept).toBeGreaterThan(0.7)
  },
)

test('a picture that a camera held upright is told as it is seen', async () => {
  const bytes = await sharp(await packed(300, 100, 'jpeg'))
    .withMetadata({ orientation: 6 })
    .toBuffer()
  expect((await look(bytes)).facts).toMatchObject({ width: 100, height: 300 })
})

describe('what cannot be read is refused with the reason', () => {
  const drawing = '<svg xmlns="http://www.w3.org/2000/svg" width="640" height="360"><rect width="9" height="9"/></svg>'
  test.each<[string, () => Promise<Uint8Array>, string]>([
    ['nothing', () => Promise.resolve(new Uint8Array(0)), 'not a picture'],
    ['a text', () => Promise.resolve(new TextEncoder().encode('hello')), 'not a picture'],
    ['a drawing, which could load others', () => Promise.resolve(new TextEncoder().encode(drawing)), 'not a picture'],
    ['a format that sites do not show', () => sharp(new Uint8Array(12), raw).tiff().toBuffer(), 'not a picture'],
    ['half a picture', async () => (await packed(640, 360, 'jpeg')).subarray(0, 900), 'damaged'],
    ['a bomb of a few kilobytes that unpacks to 400 million pixels', bomb, '80 million pixels'],
    ['an AVIF of which too much is unpacked at once', largeAvif, '12 million pixels'],
  ])('%s', async (_, bytes, reason) => {
    await expect(look(await bytes())).rejects.toMatchObject({
      name: 'PictureFault',
      message: expect.stringContaining(reason) as string,
    })
  })
})
const raw = { raw: { width: 2, height: 2, channels: 3 } } as const
/** The head of a PNG says its size: 20,000 by 20,000. */
async function bomb(): Promise<Uint8Array> {
  const bytes = Uint8Array.from(await packed(8, 8, 'png'))
  const view = new DataView(bytes.buffer)
  view.setUint32(16, 20_000)
  view.setUint32(20, 20_000)
  return bytes
}

/** The box `ispe` of an AVIF says its size: 4,200 by 3,000. */
async function largeAvif(): Promise<Uint8Array> {
  const bytes = Uint8Array.from(await packed(64, 36, 'avif'))
  const view = new DataView(bytes.buffer)
  const box = Buffer.from(bytes.buffer).indexOf('ispe')
  view.setUint32(box + 8, 4200)
  view.setUint32(box + 12, 3000)
  return bytes
}

describe('mending', () => {
  test('makes a square, heavy picture fit the site’s rules', async () => {
    const bytes = await sharp({
      create: { width: 2400, height: 2400, channels: 3, noise: { type: 'gaussian', mean: 128, sigma: 70 } },
    } as never)
      .png()
      .toBuffer()
    const { facts } = await look(bytes)
    expect(thumbnailFaults(facts, profile)).toEqual(['ratio', 'bytes'])
    const to = join(folder, 'mended')
    const made = await work.mend(written(bytes), mendPlan(facts, profile), profile.thumbnail.bytes, to)
    expect(thumbnailFaults(made, profile)).toEqual([])
    expect(made).toMatchObject({ format: 'jpeg', width: 1280, height: 720, bytes: statSync(to).size })
    expect((await work.candidate(to, made.bytes, false)).facts).toEqual(made)
  })
  test('says when a picture cannot be made light enough', async () => {
    const bytes = await packed(640, 360, 'jpeg')
    const { facts } = await look(bytes)
    const mend = work.mend(written(bytes), mendPlan(facts, profile), 10, join(folder, 'never'))
    await expect(mend).rejects.toMatchObject({ name: 'PictureFault' })
  })
})

test('a picture is scaled down as WebP, and never up', async () => {
  const file = written(await packed(640, 360, 'png'))
  expect(await sharp(await work.scaled(file, 320)).metadata()).toMatchObject({
    format: 'webp',
    width: 320,
    height: 180,
  })
  expect(await sharp(await work.scaled(file, 1280)).metadata()).toMatchObject({ width: 640 })
})

test('pictures of a page are read where they can be', async () => {
  const drawn =
    "data:image/svg+xml,<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 160 90'><path fill='%23080' d='M0 0h160v90H0z'/></svg>"
  const packedOne = `data:image/png;base64,${(await packed(64, 36, 'png')).toString('base64')}`
  const [green, red, none, again] = await work.page([drawn, packedOne, 'data:image/png;base64,AAAA', drawn])
  expect(green!.tones.hues.green).toBeCloseTo(1)
  expect(red!.tones.hues.red).toBeGreaterThan(0.75)
  expect(none).toBeNull()
  expect(again).toEqual(green)
})

test('mutated pictures are read or refused, and the thread goes on', async () => {
  const formats: PictureFormat[] = ['jpeg', 'png', 'webp', 'gif', 'avif']
  const whole = await Promise.all(formats.map(format => packed(64, 36, format)))
  const random = seeded(15)
  for (let run = 0; run < runs(300); run++) {
    const bytes = mutated(whole[run % whole.length]!, random)
    const found = await look(bytes).catch((error: Error) => error)
    if (found instanceof Error) expect(found.name).toBe('PictureFault')
    else expect(found.facts.width * found.facts.height).toBeGreaterThan(0)
  }
  const file = written(await packed(64, 36, 'png'))
  expect((await work.candidate(file, readFileSync(file).length, false)).facts.format).toBe('png')
})
