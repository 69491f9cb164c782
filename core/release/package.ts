import { strFromU8, strToU8, unzipSync, Zip, ZipDeflate, ZipPassThrough } from 'fflate'
import { exportedText, type BriefFields } from '../brief/brief'
import { exportedPosts } from '../brief/items/post'
import { writeBriefFile, type BriefFileItems } from '../brief/briefFile'
import { formatChapters } from '../chapters/formats'
import { chaptersOf } from '../chapters/lines'
import { FileFault } from '../formats/jsonFile'
import { writeVideoObject } from '../formats/jsonLd'
import { handOverPage } from './handOverPage'
import { leadsTable } from './leadsTable'
import type { ChannelRight } from './rights'
import { captionsEnding, handOverSteps } from './handOver'
import { fileEnding, MOST_PICTURE_BYTES } from '../thumbnail/picture'

/** The brief itself within a package: what it is read back from. */
export const BRIEF_NAME = 'brief.json'
/** A brief's file can be so large, in bytes; what claims to be larger is not unpacked. */
const MOST_BYTES = 4_000_000
const PICTURE_ENTRY = /^thumbnail\.[a-z]{3,4}$/u
/** A package has a dozen entries; a file that claims to have very many would be gone through for ever. */
const MOST_ENTRIES = 1000
/** Texts shrink to a third at the fastest level already; the next ones take three times as long. */
const LEVEL = 1

export interface PackageFrom extends BriefFileItems {
  brief: { id: string; createdAt: number; updatedAt: number; fields: BriefFields }
  playlists: readonly string[]
  /** The bytes of the brief's thumbnail; `null` where it has none, or it is not here. */
  picture: Uint8Array | null
  /** What the site lets one do for the channel; `null` where nobody told. */
  rights: readonly ChannelRight[] | null
  channel: string
  /** An hour as the channel's clock shows it. */
  inWords: (at: number) => string
  /** UTC milliseconds. */
  now: number
}

/** What is in a package, by name: texts to paste, files to upload, a page to follow, and the brief to read back. */
export function packageFiles({
  brief,
  localised,
  posts,
  playlists,
  picture,
  rights,
  channel,
  inWords,
  now,
}: PackageFrom): Record<string, string | Uint8Array> {
  const { fields } = brief
  const { captions, description, seconds } = fields
  const chapters = chaptersOf(description)
  const files: Record<string, string | Uint8Array> = {
    [BRIEF_NAME]: writeBriefFile(brief, { localised, posts }, now),
    'hand-over.html': handOverPage(fields, handOverSteps(fields, { playlists, rights, inWords }), channel),
    'texts.txt': exportedText({ ...fields, captions: '' }),
    'video.jsonld': writeVideoObject({
      title: fields.title,
      description,
      tags: fields.tags,
      language: fields.language,
      channel,
      seconds,
      address: fields.videoAddress,
      publishedAt: typeof fields.releaseAt === 'number' ? fields.releaseAt : null,
    }),
  }
  if (picture && fields.thumbnail) files[`thumbnail.${fileEnding(fields.thumbnail)}`] = picture
  if (fields.cards.length || fields.endScreen) files['cards-and-end-screen.csv'] = leadsTable(fields)
  if (posts.some(({ text }) => text.trim())) files['posts.txt'] = exportedPosts(posts)
  if (captions.trim()) files[`captions.${captionsEnding(captions)}`] = captions
  if (chapters.length) {
    files['chapters.txt'] = formatChapters(chapters, 'text')
    files['chapters.vtt'] = formatChapters(chapters, 'webvtt', seconds ?? undefined)
  }
  return files
}

/**
 * A package as bytes of a ZIP file.
 *
 * @param at the time its entries carry, UTC milliseconds. @param rest waited for after each entry: long captions take a
 * while, and others may have something to do.
 */
export async function writePackage(
  files: Readonly<Record<string, string | Uint8Array>>,
  at: number,
  rest: () => Promise<unknown> = () => Promise.resolve(),
): Promise<Uint8Array> {
  const parts: Uint8Array[] = []
  const zip = new Zip((error, part) => {
    if (error) throw error
    parts.push(part)
  })
  for (const [name, content] of Object.entries(files)) {
    // A picture is packed already.
    const text = typeof content === 'string'
    const entry = text ? new ZipDeflate(name, { level: LEVEL }) : new ZipPassThrough(name)
    entry.mtime = at
    zip.add(entry)
    entry.push(text ? strToU8(content) : content, true)
    await rest()
  }
  zip.end()
  const bytes = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0))
  let to = 0
  for (const part of parts) {
    bytes.set(part, to)
    to += part.length
  }
  return bytes
}

/** What is read back from a package. */
export interface PackageContent {
  /** The brief's file, as text. */
  brief: string
  /** The bytes of its thumbnail; `null` where there is none. */
  picture: Uint8Array | null
}

/**
 * The brief's file of a package, and its thumbnail. Nothing else of it is unpacked, whatever it is called and however
 * large it claims to be.
 *
 * @throws FileFault that says why there is none.
 */
export function readPackage(bytes: Uint8Array): PackageContent {
  let looked = 0
  let found: Record<string, Uint8Array>
  let picture: string | null = null
  try {
    found = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        if (++looked > MOST_ENTRIES) throw new Error('it has too many entries')
        if (picture === null && PICTURE_ENTRY.test(name) && originalSize <= MOST_PICTURE_BYTES) {
          picture = name
          return true
        }
        return name === BRIEF_NAME && originalSize <= MOST_BYTES
      },
    })
  } catch (error) {
    throw new FileFault([`This package cannot be unpacked: ${(error as Error).message}.`])
  }
  const brief = found[BRIEF_NAME]
  if (!brief) throw new FileFault([`There is no ${BRIEF_NAME} in this package, or it is too large.`])
  return { brief: strFromU8(brief), picture: picture === null ? null : found[picture]! }
}
