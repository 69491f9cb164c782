/// <reference path="./comlink-node.d.ts" />
import * as Comlink from 'comlink'
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs'
import { parentPort } from 'node:worker_threads'
import sharp, { type Metadata, type Sharp } from 'sharp'
import { legibleOf, SMALL_WIDTH, type Legible } from '../../core/thumbnail/legible'
import { PICTURE_FORMATS, type MendPlan, type PictureFacts, type PictureFormat } from '../../core/thumbnail/mend'
import { lookOf, type PictureLook } from '../../core/thumbnail/page'
import { inLab, type LabRaster } from '../../core/thumbnail/raster'

/** A picture cannot be read, and why. */
class PictureFault extends Error {
  override name = 'PictureFault'
}

/**
 * What unpacks to more pixels is refused before any of them is. Fewer are taken where all of them are unpacked at once:
 * two to six bytes each, and up to 17 of a GIF or an AVIF.
 */
const MOST_PIXELS = 80_000_000
const MOST_WHOLE = 24_000_000
const MOST_OF_FORMAT: Partial<Record<PictureFormat, number>> = { avif: 12_000_000, gif: 12_000_000, webp: MOST_WHOLE }
/** Pictures that are remembered: a dozen pages of twenty, and as many of one's own. */
const REMEMBERED = 300
/** As wide as a list of results shows it. */
const FINE = { width: 360, height: 202 }
const SMALL = { width: SMALL_WIDTH, height: 68 }
const COLOURS = { width: 48, height: 27 }
/** How well a JPEG is kept, from the best on, until it weighs little enough. */
const QUALITIES = [90, 82, 74, 66, 56, 46, 36] as const

// One step at a time: the threads that work for it also read and write files for everybody else.
sharp.concurrency(1)
sharp.cache(false)

// Nothing but pictures as cameras and sites write them is opened; a drawing only where a site shows one.
const load = (...formats: string[]) => ({ operation: formats.map(format => `VipsForeignLoad${format}`) })
const DRAWINGS = load('Svg')
sharp.block(load(''))
sharp.unblock(load('Jpeg', 'Png', 'Webp', 'Nsgif', 'Heif'))

const opened = (input: string | Buffer) =>
  sharp(input, { limitInputPixels: MOST_PIXELS, sequentialRead: true, failOn: 'error', animated: false })

/** A picture turned as its camera was held, cut to 16:9 about its middle. */
const covering = (picture: Sharp, size: { width: number; height: number }) =>
  picture
    .rotate()
    .resize({ ...size, fit: 'cover', kernel: 'cubic' })
    .flatten({ background: '#ffffff' })
    .removeAlpha()
    .toColourspace('srgb')

async function lab(picture: Sharp): Promise<LabRaster> {
  const { data, info } = await picture.raw().toBuffer({ resolveWithObject: true })
  return inLab({ width: info.width, height: info.height, rgb: data })
}

function formatOf({ format, compression }: Metadata): PictureFormat {
  const name = format === 'heif' && compression === 'av1' ? 'avif' : format
  const known = PICTURE_FORMATS.find(each => each === name)
  if (!known) throw new PictureFault('This is not a picture that can be read. JPEG, PNG, WebP, GIF and AVIF are.')
  return known
}

async function factsOf(input: string, bytes: number): Promise<PictureFacts> {
  const found = await opened(input)
    .metadata()
    .catch((error: Error) => {
      throw new PictureFault(
        error.message.includes('pixel limit')
          ? tooLarge(MOST_PIXELS)
          : 'This is not a picture that can be read. JPEG, PNG, WebP, GIF and AVIF are.',
      )
    })
  const format = formatOf(found)
  // Orientations past four are turned on their side.
  const turned = (found.orientation ?? 1) > 4
  const [width, height] = turned ? [found.height, found.width] : [found.width, found.height]
  const most = MOST_OF_FORMAT[format] ?? (found.isProgressive ? MOST_WHOLE : MOST_PIXELS)
  if (width * height > most) throw new PictureFault(tooLarge(most))
  return { format, width, height, bytes }
}
const tooLarge = (most: number) =>
  `This picture is larger than the ${most / 1_000_000} million pixels that can be read. Make it smaller.`

/** The picture at the three sizes it is looked at; decoded once, the smaller ones made from the larger. */
async function sizesOf(picture: Sharp) {
  const { data, info } = await covering(picture, FINE).raw().toBuffer({ resolveWithObject: true })
  const again = (size: { width: number; height: number }) =>
    lab(
      sharp(data, { raw: { width: info.width, height: info.height, channels: 3 } }).resize({
        ...size,
        fit: 'fill',
        kernel: 'cubic',
      }),
    )
  // The two smaller ones are scaled by threads of their own while this one counts.
  const smaller = Promise.all([again(SMALL), again(COLOURS)])
  const fine = inLab({ width: info.width, height: info.height, rgb: data })
  const [small, colours] = await smaller
  return { fine, small, colours }
}

const damaged = () =>
  new PictureFault('This picture is damaged: not all of it can be read. Save it again, then add it.')

export interface Candidate {
  facts: PictureFacts
  look: PictureLook
  legible: Legible
}

async function candidate(file: string, bytes: number): Promise<Candidate> {
  const facts = await factsOf(file, bytes)
  const { fine, small, colours } = await sizesOf(opened(file)).catch(() => {
    throw damaged()
  })
  return { facts, look: lookOf(colours, small), legible: legibleOf(fine, small) }
}

/** What was looked at last, by what it was. */
function memory<Look>() {
  const looks = new Map<string, Look>()
  return async (key: string, look: () => Promise<Look>): Promise<Look> => {
    const known = looks.get(key)
    const found = known === undefined ? await look() : known
    looks.delete(key)
    looks.set(key, found)
    if (looks.size > REMEMBERED) looks.delete(looks.keys().next().value!)
    return found
  }
}
const ofPages = memory<PictureLook | null>()
const kept = memory<Candidate>()

/** A picture as a page shows it, small and often drawn; `null` for one that cannot be read. */
async function pageLook(address: string): Promise<PictureLook | null> {
  const comma = address.indexOf(',')
  const [head, body] = [address.slice(0, comma), address.slice(comma + 1)]
  const drawing = head.includes('svg')
  try {
    if (drawing) sharp.unblock(DRAWINGS)
    const bytes = head.endsWith(';base64') ? Buffer.from(body, 'base64') : Buffer.from(decodeURIComponent(body))
    const small = covering(opened(bytes), SMALL)
    const { data, info } = await small.raw().toBuffer({ resolveWithObject: true })
    const colours = sharp(data, { raw: { width: info.width, height: info.height, channels: 3 } })
    return lookOf(
      await lab(colours.resize({ ...COLOURS, fit: 'fill', kernel: 'cubic' })),
      inLab({ width: info.width, height: info.height, rgb: data }),
    )
  } catch {
    return null
  } finally {
    if (drawing) sharp.block(DRAWINGS)
  }
}

/** Questions are answered one after another, so that pictures are never unpacked side by side. */
let turn: Promise<unknown> = Promise.resolve()
function inTurn<Args extends unknown[], Answer>(work: (...args: Args) => Promise<Answer>) {
  return (...args: Args): Promise<Answer> => {
    const mine = turn.then(() => work(...args))
    turn = mine.catch(() => undefined)
    return mine
  }
}

/** What unpacks, looks at and writes pictures, in a thread of its own. */
const thread = {
  /**
   * A picture's outside and its look.
   * @param same whether the file under this name never changes. @throws PictureFault for what cannot be read.
   */
  candidate: inTurn((file: string, bytes: number, same: boolean) =>
    same ? kept(file, () => candidate(file, bytes)) : candidate(file, bytes),
  ),
  /** How the pictures of a page look, by their addresses, each a `data:` one; `null` for those that cannot be read. */
  page: inTurn(async (addresses: readonly string[]): Promise<(PictureLook | null)[]> => {
    const looks: (PictureLook | null)[] = []
    for (const address of addresses) looks.push(await ofPages(address, () => pageLook(address)))
    return looks
  }),
  /** A picture scaled down to a width, as WebP. */
  scaled: inTurn(async (file: string, width: number): Promise<Uint8Array> =>
    opened(file)
      .rotate()
      .resize({ width, withoutEnlargement: true })
      .webp({ quality: 82, effort: 2 })
      .toBuffer()
      .catch(() => {
        throw damaged()
      }),
  ),
  /**
   * Writes a picture as planned, as well as it fits within a weight.
   * @param most bytes. @throws PictureFault where it cannot be made light enough.
   */
  mend: inTurn(async (file: string, plan: MendPlan, most: number, to: string): Promise<PictureFacts> => {
    const { crop, width, height } = plan
    const cut = () =>
      opened(file).rotate().extract(crop).resize({ width, height, fit: 'fill' }).flatten({ background: '#ffffff' })
    if (plan.format === 'png') {
      const { size } = await cut().png({ compressionLevel: 9 }).toFile(to)
      if (size <= most) return { format: 'png', width, height, bytes: size }
    }
    for (const quality of QUALITIES) {
      const { size } = await cut().jpeg({ quality, mozjpeg: true }).toFile(to)
      if (size <= most) return { format: 'jpeg', width, height, bytes: size }
    }
    throw new PictureFault('This picture cannot be made light enough. Choose a smaller one.')
  }),
}
export type PictureThread = typeof thread

Comlink.expose(thread, nodeEndpoint(parentPort!))
