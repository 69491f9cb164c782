import { clock } from '../captions/cue'
import { remembering } from '../text/remembering'

/** A chapter line of a description: `m:ss`, `mm:ss` or `h:mm:ss` at the start, then its title. */
export interface Chapter {
  seconds: number
  title: string
  start: number
  titleStart: number
}

const LINE = /^[ \t]*(?:(\d{1,2}):)?(\d{1,2}):([0-5]\d)(?!\d|[ \t]?[ap]\.?m\b)[ \t]*(?:[-–—|:][ \t]*)?(.*)$/gimu

const HOLDS_TIME = /\d:[0-5]\d/u

/**
 * Chapter lines in order of the text. A lone time in a sentence is not at the start of a line and is none, nor is a
 * time of the day.
 */
export const chaptersOf = (description: string): readonly Chapter[] =>
  // Most texts hold no time.
  HOLDS_TIME.test(description) ? remembered(description) : []

function findChapters(description: string): readonly Chapter[] {
  const found: Chapter[] = []
  for (const hit of description.matchAll(LINE)) {
    const [whole, hours, minutes, seconds, title] = hit
    if (hours !== undefined && Number(minutes) > 59) continue
    found.push({
      seconds: Number(hours ?? 0) * 3600 + Number(minutes) * 60 + Number(seconds),
      title: title!.trim(),
      start: hit.index,
      titleStart: hit.index + whole.length - title!.length,
    })
  }
  return found
}
const remembered = remembering(16, findChapters)

/** A chapter as it is written anywhere. */
export interface ChapterMark {
  seconds: number
  title: string
}

/** Chapters as lines of a description. */
export const chapterLines = (chapters: readonly ChapterMark[]): string =>
  chapters.map(({ seconds, title }) => `${clock(seconds)} ${oneLine(title)}`.trimEnd()).join('\n')

/** A title cannot have lines of its own, nor begin as a time does. */
const oneLine = (title: string) => title.replace(/\s+/gu, ' ').trim()

/**
 * A description with other chapters: they stand where the first one stood, and all else stays. Without chapters before
 * they come at the end, above a last paragraph of hashtags.
 */
export function withChapters(description: string, chapters: readonly ChapterMark[]): string {
  const lines = description.split('\n')
  const taken = new Set(chaptersOf(description).map(({ start }) => description.slice(0, start).split('\n').length - 1))
  const written = chapters.length ? chapterLines(chapters).split('\n') : []
  if (taken.size) {
    const first = Math.min(...taken)
    return lines.flatMap((line, i) => (i === first ? written : taken.has(i) ? [] : [line])).join('\n')
  }
  if (!written.length) return description
  const text = description.trimEnd()
  const last = text.slice(text.lastIndexOf('\n\n') + 1).trim()
  const tags = last && last.split(/\s+/u).every(word => /^#[\p{L}\p{N}_]/u.test(word)) ? last : ''
  const before = text.slice(0, text.length - tags.length).trimEnd()
  return [before, written.join('\n'), tags].filter(Boolean).join('\n\n')
}
