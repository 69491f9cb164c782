import Papa from 'papaparse'
import { match, readPhrase, readText } from '../text/match'
import { isJsonLd, videosOfJsonLd } from './jsonLd'
import { readMediaRss } from './mediaRss'
import { videoColumns, videoRecord, type VideoRecord } from './videoRecord'

/** The texts of one video or brief, to be scored beside many others. */
export interface VideoTexts {
  /** Its id or link as told; '' where none is. */
  id: string
  title: string
  /** `null` where the file does not tell it. */
  description: string | null
  tags: string[] | null
  /** '' where no phrase is told. */
  lead: string
  support: string[]
  /** BCP 47; '' where it is not told. */
  language: string
}

/** A file of texts as it was read. */
export interface ReadTexts {
  texts: VideoTexts[]
  /** What could not be read: where, counted from 1, and why. */
  refused: { line: number; reason: string }[]
}

/** Texts in one file at most. */
export const MOST_TEXTS = 20_000

const LEAD = ['lead', 'leadphrase', 'phrase', 'keyword', 'mainphrase']
const SUPPORT = ['support', 'supportphrases', 'otherphrases', 'phrases']
const LANGUAGE = ['language', 'lang', 'inlanguage']

const spelled = (header: string) => header.toLowerCase().replace(/[^a-z]/gu, '')
const valueOf = (record: Readonly<Record<string, unknown>>, spellings: readonly string[]) => {
  const key = Object.keys(record).find(each => spellings.includes(spelled(each)))
  return key === undefined ? undefined : record[key]
}
const textOf = (value: unknown) => (typeof value === 'string' || typeof value === 'number' ? String(value).trim() : '')
const listOf = (value: unknown): string[] =>
  (Array.isArray(value)
    ? value.map(textOf)
    : textOf(value)
        .split(/[,;|\n]/u)
        .map(each => each.trim())
  ).filter(Boolean)

const textsOf = ({ id, title, description, tags }: VideoRecord): VideoTexts => ({
  id,
  title,
  description,
  tags,
  lead: '',
  support: [],
  language: '',
})

/** A record as texts; a brief as it is exported has its phrases in `tray`, or names them itself. */
function ofRecord(
  given: Readonly<Record<string, unknown>>,
  columns: ReturnType<typeof videoColumns>,
  line: number,
): VideoTexts | { reason: string } {
  const { fields } = given as { fields?: Record<string, unknown> }
  const record = fields && typeof fields === 'object' ? { id: given.id, ...fields } : given
  const found = videoColumns(Object.keys(record))
  // Without an id of its own, a text is known by its line.
  const told = videoRecord({ id: `line ${line}`, ...record }, { ...(fields ? found : columns), id: found.id ?? 'id' })
  if ('reason' in told) return told
  const tray = record.tray as { lead?: unknown; support?: unknown } | undefined
  return {
    ...textsOf(told.video),
    id: told.video.id === `line ${line}` ? '' : told.video.id,
    lead: textOf(tray?.lead ?? valueOf(record, LEAD)),
    support: listOf(tray?.support ?? valueOf(record, SUPPORT)),
    language: textOf(valueOf(record, LANGUAGE)),
  }
}

/**
 * Reads texts of videos or briefs: a list or lines of JSON, CSV with headers in any usual spelling, JSON-LD with
 * VideoObject, a channel's Atom or RSS feed.
 *
 * @throws Error with a message for the user where the file as a whole cannot be read.
 */
export function readVideoTexts(text: string): ReadTexts {
  const raw = text.replace(/^\uFEFF/u, '').trim()
  if (!raw) throw new Error('The file is empty.')
  const read = raw.startsWith('<') ? ofFeed(raw) : /^[[{]/u.test(raw) ? ofJson(raw) : ofTable(raw)
  if (read.texts.length > MOST_TEXTS)
    throw new Error(`The file holds more than ${MOST_TEXTS.toLocaleString('en')} texts. Split it.`)
  if (!read.texts.length && !read.refused.length) throw new Error('No video or brief was found in the file.')
  return read
}

function ofFeed(raw: string): ReadTexts {
  const feed = readMediaRss(raw)
  if (!feed) throw new Error('This XML is no Atom or RSS feed of videos.')
  return { texts: feed.videos.map(textsOf), refused: [] }
}

function ofJson(raw: string): ReadTexts {
  let value: unknown
  try {
    value = JSON.parse(raw)
  } catch (whole) {
    const lines = raw.split(/\r?\n/u)
    const refused: ReadTexts['refused'] = []
    const values = lines.flatMap((line, i): { line: number; value: unknown }[] => {
      if (!line.trim()) return []
      try {
        return [{ line: i + 1, value: JSON.parse(line) as unknown }]
      } catch {
        refused.push({ line: i + 1, reason: 'This line is not JSON.' })
        return []
      }
    })
    if (!values.length) throw new Error(`This is not JSON: ${(whole as Error).message}`, { cause: whole })
    const read = ofRecords(values)
    return { texts: read.texts, refused: [...refused, ...read.refused].sort((a, b) => a.line - b.line) }
  }
  if (isJsonLd(value)) return { texts: videosOfJsonLd(value).map(textsOf), refused: [] }
  const list = Array.isArray(value)
    ? value
    : (Object.values(value as object).find(each => Array.isArray(each) && typeof each[0] === 'object') ?? [value])
  return ofRecords((list as unknown[]).map((each, i) => ({ line: i + 1, value: each })))
}

function ofRecords(values: readonly { line: number; value: unknown }[]): ReadTexts {
  const read: ReadTexts = { texts: [], refused: [] }
  for (const { line, value } of values) {
    if (typeof value !== 'object' || value === null || Array.isArray(value)) {
      read.refused.push({ line, reason: 'This is not a record with a title.' })
      continue
    }
    const record = value as Record<string, unknown>
    take(read, ofRecord(record, videoColumns(Object.keys(record)), line), line)
  }
  return read
}

function ofTable(raw: string): ReadTexts {
  const { data, meta } = Papa.parse<Record<string, string>>(raw, { header: true, skipEmptyLines: 'greedy' })
  const columns = videoColumns(meta.fields ?? [])
  if (!columns.title)
    throw new Error('There is no column for the title. Name the columns in the first line, such as title, tags.')
  const read: ReadTexts = { texts: [], refused: [] }
  data.forEach((record, i) => {
    take(read, ofRecord(record, columns, i + 2), i + 2)
  })
  return read
}

function take(read: ReadTexts, found: VideoTexts | { reason: string }, line: number) {
  if ('reason' in found) read.refused.push({ line, reason: found.reason })
  else read.texts.push(found)
}

/**
 * A phrase that a text without one seems to be written for: the longest of its first tags that stands whole in the
 * title. '' where none does.
 */
export function likelyLead({ title, tags }: Pick<VideoTexts, 'title' | 'tags'>, language: string): string {
  const read = readText(title, language)
  const there = (tags ?? []).slice(0, 5).filter(tag => {
    const { grade } = match(readPhrase(tag, language), read)
    return grade === 'exact' || grade === 'inflected'
  })
  return there.sort((a, b) => b.length - a.length)[0] ?? ''
}
