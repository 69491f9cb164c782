import { rm, stat, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { v7 as uuid } from 'uuid'
import type { LimitProfile } from '../../core/draft/limits'
import { faultInWords, mendPlan, thumbnailFaults, type PictureFacts } from '../../core/thumbnail/mend'
import { pageLookOf, type PictureLook } from '../../core/thumbnail/page'
import { pictureName, type Picture, type Thumbnail } from '../../core/thumbnail/picture'
import { standOutOf } from '../../core/thumbnail/standOut'
import { phraseKey } from '../../core/text/words'
import type { PageThumbnails, ThumbnailAnalysis, ThumbnailLook, ThumbnailsAnswer } from '../../shared/thumbnails'
import type { BriefItem } from '../../shared/briefItems'
import { Problem } from '../http/problem'
import type { Runtime } from '../runtime'

/** Pictures are compared with those of page one. */
const PAGE = 20

export interface PageAsked {
  phrase: string
  /** '' for everywhere. */
  region: string
  language: string
}

type Stores = Pick<Runtime, 'phrases' | 'results' | 'pictureWork'>
type Page = PageThumbnails & { each: PictureLook[] }

/** The pictures of a kept page's first seats; `null` where there are none. Nothing is asked of a service. */
export async function pageThumbnails(
  { phrases, results, pictureWork }: Stores,
  { phrase, region, language }: PageAsked,
): Promise<Page | null> {
  const known = phrase.trim() ? phrases.known(phrase, region, language) : null
  const page = known ? results.effective(known.id, region) : null
  if (!page) return null
  const seats = results.seats(page, PAGE).filter(({ off }) => !off)
  const shown = seats.flatMap(({ code, thumbnail }) =>
    thumbnail?.startsWith('data:image/') ? [{ code, address: thumbnail }] : [],
  )
  const looks = await pictureWork.page(shown.map(({ address }) => address))
  const read = looks.flatMap((look, i) => (look ? [{ look, code: shown[i]!.code }] : []))
  const each = read.map(({ look }) => look)
  const look = pageLookOf(each)
  if (!look) return null
  return {
    phrase: phraseKey(phrase),
    at: page.at,
    videoIds: read.map(({ code }) => code),
    without: seats.length - read.length,
    look,
    each,
  }
}

/** A problem a person can act on, of what a thread says of a picture. */
export function pictureProblem(error: unknown): unknown {
  return error instanceof Error && error.name === 'PictureFault' ? new Problem(422, 'unreadable', error.message) : error
}

/**
 * A picture in a file as a thumbnail.
 * @param kept whether it is one of those kept, which never change. @throws Problem 422 for what cannot be read.
 */
export async function lookAt(
  { pictureWork }: Pick<Runtime, 'pictureWork'>,
  file: string,
  page: Page | null,
  kept = false,
): Promise<ThumbnailLook & { facts: PictureFacts }> {
  try {
    const { facts, look, legible } = await pictureWork.candidate(file, (await stat(file)).size, kept)
    const standOut =
      page &&
      standOutOf(
        look.palette,
        page.each.map(({ palette }) => palette),
        page.look.standOut,
      )
    return { facts, ...look, legible, standOut }
  } catch (error) {
    throw pictureProblem(error)
  }
}

/** What a picture is worth as a thumbnail, without keeping it. */
export async function analysed(
  runtime: Stores,
  file: string,
  asked: PageAsked,
  profile: LimitProfile,
): Promise<ThumbnailAnalysis> {
  const { facts, ...look } = await lookAt(runtime, file, await pageThumbnails(runtime, asked))
  const problems = thumbnailFaults(facts, profile).map(fault => ({
    fault,
    message: faultInWords(fault, facts, profile),
  }))
  return { ...facts, ...look, problems }
}

/** The candidates of a brief among the pictures of a page. */
export async function thumbnailsAnswer(
  runtime: Stores & Pick<Runtime, 'pictures'>,
  items: readonly BriefItem<'thumbnail'>[],
  asked: PageAsked,
): Promise<ThumbnailsAnswer> {
  const page = await pageThumbnails(runtime, asked)
  const looks: ThumbnailsAnswer['looks'] = {}
  for (const { id, value } of items) {
    const file = runtime.pictures.find(pictureName(value))
    looks[id] = null
    if (!file) continue
    try {
      const { facts: _, ...look } = await lookAt(runtime, file, page, true)
      looks[id] = look
    } catch (error) {
      // One that can no longer be read keeps nobody from seeing the others.
      if (!(error instanceof Problem)) throw error
    }
  }
  if (!page) return { page: null, looks }
  const { each: _, ...told } = page
  return { page: told, looks }
}

/**
 * A candidate as the site takes it: cut, scaled and made light enough; the original stays.
 * @param to a file that does not exist yet. @throws Problem 422 where that cannot be done.
 */
export async function mended(
  { pictures, pictureWork }: Pick<Runtime, 'pictures' | 'pictureWork'>,
  { original, name, design: _, ...picture }: Thumbnail,
  profile: LimitProfile,
  focus: { x: number; y: number },
  to: string,
): Promise<Thumbnail> {
  // From the original, whatever was made of it before: nothing is cut or packed twice.
  const from = original ?? picture
  const file = pictures.find(pictureName(from))
  if (!file) throw new Problem(409, 'picture-gone', 'The picture itself is not here. Add it again.')
  try {
    const facts = await pictureWork.mend(file, mendPlan(from, profile, focus), profile.thumbnail.bytes, to)
    return { ...(await pictures.keep(to, facts)), name, original: from, design: null }
  } catch (error) {
    throw pictureProblem(error)
  }
}

/**
 * Keeps the picture of a package. @returns `null` where it has none, or another than its brief names: that would be a
 * picture nobody chose.
 */
export async function keepPacked(
  runtime: Pick<Runtime, 'pictures' | 'pictureWork' | 'uploads'>,
  bytes: Uint8Array | null,
  named: Picture | null,
): Promise<Picture | null> {
  if (!bytes || !named) return null
  const file = join(runtime.uploads, `upload-${uuid()}.tmp`)
  try {
    await writeFile(file, bytes, { flag: 'wx', mode: 0o600 })
    const { facts } = await lookAt(runtime, file, null)
    const kept = await runtime.pictures.keep(file, facts)
    return kept.hash === named.hash ? kept : null
  } finally {
    await rm(file, { force: true })
  }
}
