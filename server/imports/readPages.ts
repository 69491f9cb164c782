import { isJsonLd, videosOfJsonLd } from '../../core/formats/jsonLd'
import { FeedReader } from '../../core/formats/mediaRss'
import {
  videoColumns,
  videoRecord,
  type ChannelRecord,
  type SeatRecord,
  type VideoRecord,
} from '../../core/formats/videoRecord'
import { readPage, type PageRead } from '../rivals/pageReader'
import { delimitedLines, delimiterOf } from './delimited'
import { fileText, textPieces, type FileText } from './fileText'
import { jsonValues } from './jsonValues'

/**
 * A result page of a file, its seats in the order of their ranks, read against its phrase. `at` is `null` where the
 * file tells no time.
 */
export interface ImportedPage extends PageRead {
  phrase: string
  region: string
  at: number | null
  titleMatches: number | null
  ranks: number[]
  videos: VideoRecord[]
}

/** The events of reading a file of pages and videos. `part` is how much of the file was read by then, 0 to 1. */
export type PagesEvent =
  | { kind: 'channel'; channel: ChannelRecord }
  | { kind: 'videos'; list: VideoRecord[]; part: number }
  | { kind: 'pages'; list: ImportedPage[]; part: number }
  | { kind: 'refused'; lines: { line: number; reason: string }[] }

export interface PagesQuestion {
  file: string
  region: string
  language: string
  /** When the file was read: the time of what tells none. */ now: number
}

/** Videos handed on in one go. */
const BATCH = 200
/** Pages handed on in one go: some hundred seats. */
const PAGES = 5
/** Results of one page that are kept. */
const MAX_SEATS = 60
/** Characters of pages whose seats may still be coming; past it those begun first are taken as whole. */
const HELD = 40_000_000

type Taken = { line: number } & (
  { video: VideoRecord; seat: SeatRecord | null } | { reason: string } | { channel: ChannelRecord }
)

/** Records of a JSON value: a list, or the lists it holds by name; a page's results get its phrase. */
function* recordsOf(value: unknown, depth = 0): Generator<Record<string, unknown>> {
  if (depth > 6) return
  if (Array.isArray(value)) {
    for (const each of value) yield* recordsOf(each, depth + 1)
    return
  }
  if (typeof value !== 'object' || value === null) return
  const thing = value as Record<string, unknown>
  if (Array.isArray(thing.results)) {
    for (const [i, each] of thing.results.entries())
      if (typeof each === 'object' && each !== null)
        yield {
          rank: i + 1,
          ...(each as object),
          phrase: thing.phrase,
          region: thing.region,
          at: thing.at,
          titleMatches: thing.titleMatches,
        }
    return
  }
  const lists = ['pages', 'videos', 'items', 'rows'].filter(name => Array.isArray(thing[name]))
  if (lists.length && !('title' in thing)) {
    for (const name of lists) yield* recordsOf(thing[name], depth + 1)
    return
  }
  yield thing
}

async function* taken(of: FileText, given: (part: number) => void): AsyncGenerator<Taken> {
  const start = of.beginning.trimStart()
  if (start.startsWith('<')) yield* takenFromFeed(of, given)
  else if (start.startsWith('[') || start.startsWith('{')) yield* takenFromJson(of, given)
  else yield* takenFromTable(of, given)
}

async function* takenFromFeed(of: FileText, given: (part: number) => void): AsyncGenerator<Taken> {
  let due: Taken[] = []
  let line = 0
  const reader = new FeedReader({
    channel: channel => {
      due.push({ line, channel })
    },
    video: video => {
      due.push({ line: ++line, video, seat: null })
    },
  })
  let first = true
  for await (const piece of textPieces(of, given)) {
    reader.write(first ? piece.replace(/^\ufeff/u, '') : piece)
    first = false
    yield* due
    due = []
  }
  if (!reader.close()) throw new Error('This is XML, but not an Atom or RSS feed.')
  yield* due
}

async function* takenFromJson(of: FileText, given: (part: number) => void): AsyncGenerator<Taken> {
  for await (const each of jsonValues(of, given)) {
    if ('reason' in each) {
      yield each
      continue
    }
    const { line, value, whole } = each
    if (isJsonLd(value)) {
      const videos = videosOfJsonLd(value)
      if (whole && !videos.length) throw new Error('The JSON-LD contains no VideoObject with a name and an address.')
      for (const [i, video] of videos.entries()) yield { line: whole ? i + 1 : line, video, seat: null }
      continue
    }
    let n = 0
    for (const record of recordsOf(value))
      yield { line: whole ? ++n : line, ...videoRecord(record, videoColumns(Object.keys(record))) }
  }
}

async function* takenFromTable(of: FileText, given: (part: number) => void): AsyncGenerator<Taken> {
  let headers: string[] | null = null
  let columns: ReturnType<typeof videoColumns> = {}
  for await (const lines of delimitedLines(of, delimiterOf(of.beginning.trimStart().split(/\r?\n/u)[0] ?? ''), given))
    for (const each of lines) {
      const { line, cells } = each
      if (cells === null) {
        yield { line, reason: each.reason }
        continue
      }
      if (cells.every(cell => cell === '')) continue
      if (!headers) {
        headers = cells
        columns = videoColumns(headers)
        if (columns.title === undefined)
          throw new Error(
            'No column is named title. A list of results needs at least a title and an id or link; see docs/formats.md.',
          )
      } else
        yield {
          line,
          ...videoRecord(Object.fromEntries(headers.map((header, i) => [header, cells[i] ?? ''])), columns),
        }
    }
}

interface OpenPage {
  phrase: string
  region: string
  at: number | null
  titleMatches: number | null
  seats: Map<number, VideoRecord>
  length: number
}

const lengthOf = ({ title, description, tags }: VideoRecord) =>
  300 + title.length + (description?.length ?? 0) + (tags?.join().length ?? 0)

/**
 * Reads result pages, videos and channels from JSON, JSON Lines, CSV, JSON-LD VideoObject, Atom and RSS with Media RSS.
 * Lines that tell a phrase and a rank make its page. What is held at a time is bounded, whatever the length of the
 * file.
 *
 * @throws Error with a message for the user when the file as a whole cannot be read.
 */
export async function* readPages({ file, region, language, now }: PagesQuestion): AsyncGenerator<PagesEvent> {
  const of = fileText(file)
  let part = 0
  let batch: VideoRecord[] = []
  let refused: { line: number; reason: string }[] = []
  const open = new Map<string, OpenPage>()
  /** Pages that were taken as whole: what comes of them later cannot be added. */
  const closed = new Set<string>()
  let held = 0
  const ready: ImportedPage[] = []

  function close(key: string, { seats, length, ...page }: OpenPage): void {
    open.delete(key)
    closed.add(key)
    held -= length
    const ranks = [...seats.keys()].sort((a, b) => a - b)
    const videos = ranks.map(rank => seats.get(rank)!)
    ready.push({ ...page, ranks, videos, ...readPage({ phrase: page.phrase, language, at: page.at ?? now, videos }) })
  }

  /** Gives a video its seat. @returns whether it has one, or why it cannot. */
  function seat(video: VideoRecord, { phrase, region: given, rank, at, titleMatches }: SeatRecord): boolean | string {
    const where = given ?? region
    const key = `${where}\n${at}\n${phrase}`
    if (closed.has(key))
      return `The results for “${phrase}” are too far apart in this file. Sort it by phrase and import it again.`
    let page = open.get(key)
    if (!page) open.set(key, (page = { phrase, region: where, at, titleMatches, seats: new Map(), length: 0 }))
    if (rank > MAX_SEATS || page.seats.has(rank)) return false
    page.seats.set(rank, video)
    const length = lengthOf(video)
    page.length += length
    held += length
    for (const [oldest, begun] of open) {
      if (held <= HELD || oldest === key) break
      close(oldest, begun)
    }
    return true
  }

  function* due(all: boolean): Generator<PagesEvent> {
    if (refused.length && (all || refused.length >= BATCH)) {
      yield { kind: 'refused', lines: refused }
      refused = []
    }
    if (batch.length && (all || batch.length >= BATCH)) {
      yield { kind: 'videos', list: batch, part }
      batch = []
    }
    while (ready.length >= PAGES || (all && ready.length)) yield { kind: 'pages', list: ready.splice(0, PAGES), part }
  }

  for await (const each of taken(of, read => {
    part = read
  })) {
    if ('reason' in each) refused.push({ line: each.line, reason: each.reason })
    else if ('channel' in each) yield { kind: 'channel', channel: each.channel }
    else {
      const seated = each.seat ? seat(each.video, each.seat) : false
      if (typeof seated === 'string') refused.push({ line: each.line, reason: seated })
      // What has a seat is kept with its page, as it was when that was seen.
      else if (!seated) batch.push(each.video)
    }
    yield* due(false)
  }
  yield* due(true)
  // Pages are told after all videos: how far they are is counted among them.
  const all = open.size
  let done = 0
  for (const [key, page] of open) {
    close(key, page)
    part = ++done / all
    yield* due(false)
  }
  yield* due(true)
}
