import iconv from 'iconv-lite'
import { createReadStream, readFileSync, statSync } from 'node:fs'
import { createInterface } from 'node:readline'
import { isJsonLd, videosOfJsonLd } from '../../core/formats/jsonLd'
import { readMediaRss } from '../../core/formats/mediaRss'
import { videoColumns, videoRecord, type ToldSeat, type ToldVideo } from '../../core/formats/videoRecord'
import type { ImportProgress } from '../../shared/imports'
import type { ResultStore } from '../data/results'
import type { PhraseStore } from '../data/phrases'
import type { VideoStore } from '../data/videos'
import { delimitedLines, delimiterOf, UNREADABLE } from '../jobs/delimited'
import { encodingOf, peek } from '../jobs/readList'
import type { PageReader } from './pageReader'

/** JSON and XML are read whole; larger files should come as CSV or JSON Lines. */
const MAX_WHOLE = 60 * 1024 * 1024
const BATCH = 500
/** Pages read and kept at a time: some two hundred seats. */
const PAGES = 10
const TOLD = 200
/** Results of one page that are kept. */
const MAX_SEATS = 60

export interface PagesAnswer { videos: number, channels: number, pages: number, rejected: { line: number, reason: string }[], rejectedMore: number }
export interface ImportPagesDeps { phrases: PhraseStore, results: ResultStore, videos: VideoStore, reader: PageReader, now?: () => number }
export interface ImportPagesOptions { file: string, region: string, language: string, source: string, /** Ends it after the batch at work. */ signal?: AbortSignal, /** Told how far it is. */ tell?: (progress: ImportProgress) => void }

type Taken = { line: number } & ({ video: ToldVideo, seat: ToldSeat | null } | { reason: string } | { channel: { id: string, title: string, subscribers: number | null, foundedAt: number | null, videos: number | null } })

/** Records of a JSON value: a list, or the lists it holds by name; a page's results get its phrase. */
function* recordsOf(value: unknown): Generator<Record<string, unknown>> {
  if (Array.isArray(value)) { for (const each of value) yield* recordsOf(each); return }
  if (typeof value !== 'object' || value === null) return
  const thing = value as Record<string, unknown>
  if (Array.isArray(thing.results)) {
    for (const [i, each] of thing.results.entries()) if (typeof each === 'object' && each !== null) yield { rank: i + 1, ...each as object, phrase: thing.phrase, region: thing.region, at: thing.at, titleMatches: thing.titleMatches }
    return
  }
  const lists = ['pages', 'videos', 'items', 'rows'].filter(name => Array.isArray(thing[name]))
  if (lists.length && !('title' in thing)) { for (const name of lists) yield* recordsOf(thing[name]); return }
  yield thing
}

const take = (record: Record<string, unknown>, line: number): Taken => ({ line, ...videoRecord(record, videoColumns(Object.keys(record))) })

async function* read(file: string): AsyncGenerator<Taken> {
  const { size } = statSync(file)
  if (size === 0) throw new Error('The file is empty.')
  const beginning = peek(file, 65_536)
  const encoding = encodingOf(beginning)
  const start = iconv.decode(beginning, encoding).replace(/^\ufeff/u, '').trimStart()
  if (start.startsWith('<')) {
    if (size > MAX_WHOLE) throw new Error(`A feed can be ${MAX_WHOLE / 1024 / 1024} MB at most.`)
    const feed = readMediaRss(iconv.decode(readFileSync(file), encoding))
    if (!feed) throw new Error('This is XML, but no Atom or RSS feed.')
    yield { line: 1, channel: feed.channel }
    for (const [i, video] of feed.videos.entries()) yield { line: i + 1, video, seat: null }
    return
  }
  if (start.startsWith('[') || start.startsWith('{')) { yield* readJson(file, size, encoding); return }
  let headers: string[] | null = null
  let columns: ReturnType<typeof videoColumns> = {}
  for await (const lines of delimitedLines(file, encoding, delimiterOf(start.split(/\r?\n/u)[0] ?? ''))) for (const { line, cells } of lines) {
    if (cells === null) { yield { line, reason: UNREADABLE }; continue }
    if (cells.join('') === '') continue
    if (!headers) {
      headers = cells
      columns = videoColumns(headers)
      if (columns.title === undefined) throw new Error('No column header names a title. A list of results needs at least title and id or link; see docs/formats.md.')
    } else yield { line, ...videoRecord(Object.fromEntries(headers.map((header, i) => [header, cells[i] ?? ''])), columns) }
  }
}

async function* readJson(file: string, size: number, encoding: string): AsyncGenerator<Taken> {
  let whole: unknown
  if (size <= MAX_WHOLE) {
    try { whole = JSON.parse(iconv.decode(readFileSync(file), encoding)) as unknown } catch { /* Not one value: perhaps one a line. */ }
  }
  if (whole !== undefined) {
    if (isJsonLd(whole)) {
      const videos = videosOfJsonLd(whole)
      if (!videos.length) throw new Error('The JSON-LD holds no VideoObject with a name and an address.')
      for (const [i, video] of videos.entries()) yield { line: i + 1, video, seat: null }
      return
    }
    let line = 0
    for (const record of recordsOf(whole)) yield take(record, ++line)
    return
  }
  let line = 0
  for await (const text of createInterface({ input: createReadStream(file).pipe(iconv.decodeStream(encoding)), crlfDelay: Infinity })) {
    line++
    if (!text.trim()) continue
    let value: unknown
    try { value = JSON.parse(text) } catch (error) {
      if (line === 1) throw new Error(`The file looks like JSON but cannot be read: ${(error as Error).message}`, { cause: error })
      yield { line, reason: 'The line is no JSON.' }
      continue
    }
    if (isJsonLd(value)) for (const video of videosOfJsonLd(value)) yield { line, video, seat: null }
    else for (const record of recordsOf(value)) yield take(record, line)
  }
}

/**
 * Imports result pages, videos and channels told elsewhere: JSON, JSON Lines, CSV, JSON-LD VideoObject, Atom and RSS with
 * Media RSS. Lines that tell a phrase and a rank make its result page, which then gives difficulty and chance as
 * any other. In transactions of some hundred videos, the event loop free between them; importing the same
 * file again changes nothing, so that an import cut off is simply repeated.
 *
 * @throws Error with a message for the user when the file as a whole cannot be read; what was written stays.
 */
export async function importPages({ phrases, results, videos, reader, now = Date.now }: ImportPagesDeps, { file, region, language, source, signal, tell }: ImportPagesOptions): Promise<PagesAnswer> {
  const answer: PagesAnswer = { videos: 0, channels: 0, pages: 0, rejected: [], rejectedMore: 0 }
  const at = now()
  const pages = new Map<string, { phrase: string, region: string, at: number, titleMatches: number | null, seats: Map<number, ToldVideo> }>()
  const channels = new Set<string>()
  let batch: ToldVideo[] = []
  const flush = async () => {
    if (!batch.length) return
    videos.keepVideos(batch, at)
    batch = []
    await new Promise(resolve => setImmediate(resolve))
  }
  for await (const taken of read(file)) {
    if ('reason' in taken) {
      if (answer.rejected.length < TOLD) answer.rejected.push({ line: taken.line, reason: taken.reason })
      else answer.rejectedMore++
      continue
    }
    if ('channel' in taken) { videos.keepChannel(taken.channel, at); channels.add(taken.channel.id); continue }
    const { video, seat } = taken
    answer.videos++
    if (answer.videos % BATCH === 0) tell?.({ part: null, said: `${answer.videos.toLocaleString('en')} videos read` })
    channels.add(video.channel.id)
    let seated = false
    if (seat) {
      const where = seat.region ?? region
      const seen = seat.at ?? at
      const key = `${where}\n${seen}\n${seat.phrase}`
      let page = pages.get(key)
      if (!page) pages.set(key, page = { phrase: seat.phrase, region: where, at: seen, titleMatches: seat.titleMatches, seats: new Map() })
      seated = seat.rank <= MAX_SEATS && !page.seats.has(seat.rank)
      if (seated) page.seats.set(seat.rank, video)
    }
    // What has a seat is kept with its page, as it was when that was seen.
    if (!seated) batch.push(video)
    if (batch.length >= BATCH) await flush()
    if (signal?.aborted) break
  }
  await flush()
  answer.channels = channels.size
  const told = [...pages.values()]
  const readFrom = (from: number) => {
    const due = told.slice(from, from + PAGES).flatMap(({ seats, ...page }) => {
      const phraseId = phrases.phraseId(page.phrase, language)
      if (results.past(phraseId, page.region).some(kept => kept.at === page.at)) return []
      const ranks = [...seats.keys()].sort((a, b) => a - b)
      return [{ ...page, phraseId, ranks, list: ranks.map(rank => seats.get(rank)!) }]
    })
    const reading = reader.read(due.map(({ phrase, at, list }) => ({ phrase, language, at, videos: list })))
    // One that fails while those before are kept is awaited all the same.
    reading.catch(() => undefined)
    return { due, reading }
  }
  // The next pages are read in their thread while these are kept.
  let next = readFrom(0)
  for (let from = 0; from < told.length && !signal?.aborted; from += PAGES) {
    const { due, reading } = next
    const read = await reading
    next = readFrom(from + PAGES)
    results.keep(due.map(({ phraseId, ranks, list, ...page }, i) => ({
      // A page with a hole, or that begins after the first rank, was not told whole.
      phraseId, region: page.region, kind: 'site', source, at: page.at, depth: ranks.at(-1) ?? 0, complete: ranks.every((rank, k) => rank === k + 1), more: list.length >= 20,
      titleMatches: page.titleMatches, videoBlock: null, intent: read[i]!.intent, imported: true, seats: list.map((video, k) => ({ video, strength: read[i]!.strengths[k]! })),
    })))
    answer.pages += due.length
    const kept = Math.min(told.length, from + PAGES)
    tell?.({ part: kept / told.length, said: `${kept.toLocaleString('en')} of ${told.length.toLocaleString('en')} result pages kept` })
    await new Promise(resolve => setImmediate(resolve))
  }
  return answer
}
