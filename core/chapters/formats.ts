import { z } from 'zod'
import { stamp } from '../captions/cue'
import { readCaptions } from '../captions/read'
import { chapterLines, chaptersOf, type ChapterMark } from './lines'

export const CHAPTER_FORMATS = ['text', 'webvtt', 'ffmetadata', 'json'] as const
export type ChapterFormat = (typeof CHAPTER_FORMATS)[number]
export const CHAPTER_ENDINGS: Record<ChapterFormat, string> = {
  text: 'txt',
  webvtt: 'vtt',
  ffmetadata: 'txt',
  json: 'json',
}

/** The last chapter ends somewhere: with the video, or where its length is not known, so many seconds on. */
const LAST_SECONDS = 10

/**
 * Chapters as a file: lines of a description, WebVTT chapters, FFmetadata, or JSON chapters of the podcast namespace.
 * Text keeps whole seconds, the others milliseconds.
 *
 * @param chapters rising in time.
 */
export function formatChapters(
  chapters: readonly ChapterMark[],
  format: ChapterFormat,
  durationSeconds?: number,
): string {
  const ends = chapters.map(
    ({ seconds }, i) => chapters[i + 1]?.seconds ?? Math.max(durationSeconds ?? 0, seconds + LAST_SECONDS),
  )
  const line = (title: string) => title.replace(/\s+/gu, ' ').trim()
  switch (format) {
    case 'text':
      return chapters.length ? `${chapterLines(chapters)}\n` : ''
    case 'webvtt':
      return `WEBVTT\n\n${chapters
        .map(({ seconds, title }, i) => `${i + 1}\n${stamp(seconds)} --> ${stamp(ends[i]!)}\n${escaped(line(title))}\n`)
        .join('\n')}`
    case 'ffmetadata':
      return `;FFMETADATA1\n${chapters
        .map(
          ({ seconds, title }, i) =>
            `\n[CHAPTER]\nTIMEBASE=1/1000\nSTART=${Math.round(seconds * 1000)}\nEND=${Math.round(ends[i]! * 1000)}\ntitle=${line(title).replace(/[=;#\\]/gu, '\\$&')}\n`,
        )
        .join('')}`
    case 'json':
      return `${JSON.stringify(
        {
          version: '1.2.0',
          chapters: chapters.map(({ seconds, title }) => ({ startTime: seconds, title: line(title) })),
        },
        null,
        2,
      )}\n`
  }
}
const escaped = (text: string) =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('-->', '→')

/** Chapters that cannot be read, and why. */
export class ChaptersFault extends Error {
  constructor(message: string) {
    super(message)
    this.name = 'ChaptersFault'
  }
}

const jsonSchema = z.object({
  chapters: z
    .array(z.object({ startTime: z.number().min(0), title: z.string().default('') }))
    .max(1000, 'There are more than 1,000 chapters.'),
})

/** Chapters of a file or a text in any of the formats, told apart by how it begins. @throws ChaptersFault */
export async function readChapters(raw: string): Promise<ChapterMark[]> {
  const text = raw.replace(/^\uFEFF/u, '').replace(/\r\n?/gu, '\n')
  const found = await (/^\s*\{/u.test(text)
    ? fromJson(text)
    : /^;FFMETADATA/u.test(text)
      ? fromFfmetadata(text)
      : /^WEBVTT(?:[ \t\n]|$)/u.test(text) || text.includes('-->')
        ? fromCaptions(text)
        : chaptersOf(text).map(({ seconds, title }) => ({ seconds, title })))
  if (!found.length) throw new ChaptersFault('No chapters were found. A line begins with a time, as in 1:05 Tools.')
  return found
}

function fromJson(text: string): ChapterMark[] {
  let json: unknown
  try {
    json = JSON.parse(text)
  } catch {
    throw new ChaptersFault(
      'This begins like JSON, but it cannot be read. Open the file it came from and save it again.',
    )
  }
  const read = jsonSchema.safeParse(json)
  if (!read.success)
    throw new ChaptersFault('JSON chapters have a list “chapters”, each with startTime in seconds and a title.')
  return read.data.chapters.map(({ startTime, title }) => ({ seconds: startTime, title }))
}

async function fromCaptions(text: string): Promise<ChapterMark[]> {
  const { cues } = await readCaptions(text)
  return cues.map(({ start, text: title }) => ({ seconds: start, title: title.replace(/\n/gu, ' ') }))
}

/** Times of a section by its base, `1/1000` where none is given. */
function fromFfmetadata(text: string): ChapterMark[] {
  const found: ChapterMark[] = []
  let chapter: { base: number; start: number | null; title: string } | null = null
  const finish = () => {
    if (chapter?.start != null && Number.isFinite(chapter.start * chapter.base))
      found.push({ seconds: Math.round(chapter.start * chapter.base * 1000) / 1000, title: chapter.title })
  }
  for (const line of text.split('\n')) {
    if (/^\[/u.test(line)) {
      finish()
      chapter = /^\[CHAPTER\]\s*$/iu.test(line) ? { base: 1 / 1000, start: null, title: '' } : null
      continue
    }
    const at = line.indexOf('=')
    if (!chapter || at < 0 || /^[;#]/u.test(line)) continue
    const [key, value] = [line.slice(0, at).trim().toLowerCase(), line.slice(at + 1)]
    if (key === 'title') chapter.title = value.replace(/\\(.)/gu, '$1')
    else if (key === 'start' && /^\d{1,15}$/u.test(value.trim())) chapter.start = Number(value)
    else if (key === 'timebase') {
      const base = /^(\d{1,9})\/(\d{1,12})$/u.exec(value.trim())
      if (base && Number(base[2]) > 0) chapter.base = Number(base[1]) / Number(base[2])
    }
  }
  finish()
  return found
}
