import type { LimitProfile } from '../draft/limits'
import { clock } from '../captions/cue'
import { counted } from '../text/inWords'
import type { ChapterMark } from './lines'

export const CHAPTER_FAULTS = ['not-at-zero', 'too-few', 'not-rising', 'too-short', 'beyond-end', 'no-title'] as const
export type ChapterFaultKind = (typeof CHAPTER_FAULTS)[number]

/** Why a site would not show the chapters. */
export interface ChapterFault {
  kind: ChapterFaultKind
  /** The chapter it is about; `null` for all of them. */
  index: number | null
  message: string
}

type Limits = LimitProfile['chapters']

/** All that is wrong with chapters, in their order. None is no fault: not every video has chapters. */
export function chapterFaults(
  chapters: readonly ChapterMark[],
  limits: Limits,
  durationSeconds?: number,
): ChapterFault[] {
  if (!chapters.length) return []
  const found: ChapterFault[] = []
  const add = (kind: ChapterFaultKind, index: number | null, message: string) => found.push({ kind, index, message })
  if (chapters[0]!.seconds !== 0)
    add('not-at-zero', 0, `The first chapter begins at ${clock(chapters[0]!.seconds)}, not at 0:00.`)
  if (chapters.length < limits.least)
    add('too-few', null, `${counted(chapters.length, 'chapter')} of at least ${limits.least}.`)
  chapters.forEach(({ seconds, title }, index) => {
    const next = chapters[index + 1]?.seconds ?? durationSeconds
    if (!title.trim()) add('no-title', index, `The chapter at ${clock(seconds)} has no title.`)
    if (durationSeconds !== undefined && seconds >= durationSeconds)
      add(
        'beyond-end',
        index,
        `The chapter at ${clock(seconds)} begins after the video’s end, ${clock(durationSeconds)}.`,
      )
    if (index + 1 < chapters.length && next! <= seconds)
      add('not-rising', index + 1, `The chapter at ${clock(next!)} does not come after the one at ${clock(seconds)}.`)
    else if (next !== undefined && next > seconds && next - seconds < limits.leastSeconds)
      add(
        'too-short',
        index,
        `The chapter at ${clock(seconds)} is ${counted(Math.round(next - seconds), 'second')} long; ${limits.leastSeconds} is the least.`,
      )
  })
  return found
}

/**
 * Chapters without one kind of fault: the first one moved to 0:00, or one put before it; times sorted; short ones and
 * those beyond the end left out, the first being kept; ones without a title named by their number. Too few cannot be
 * mended: chapters are not made up.
 *
 * @param untitled what a chapter without a title is called, before its number.
 */
export function mendedChapters(
  chapters: readonly ChapterMark[],
  kind: ChapterFaultKind,
  limits: Limits,
  {
    durationSeconds,
    untitled = 'Part',
    intro = 'Intro',
  }: { durationSeconds?: number; untitled?: string; intro?: string } = {},
): ChapterMark[] {
  switch (kind) {
    case 'not-at-zero': {
      const [first, ...rest] = chapters
      if (!first) return []
      return first.seconds >= limits.leastSeconds
        ? [{ seconds: 0, title: intro }, ...chapters]
        : [{ ...first, seconds: 0 }, ...rest]
    }
    case 'not-rising': {
      const sorted = [...chapters].sort((a, b) => a.seconds - b.seconds)
      return sorted.filter((chapter, i) => i === 0 || chapter.seconds !== sorted[i - 1]!.seconds)
    }
    case 'too-short': {
      const kept: ChapterMark[] = []
      for (const chapter of chapters)
        if (!kept.length || chapter.seconds - kept.at(-1)!.seconds >= limits.leastSeconds) kept.push(chapter)
      while (
        kept.length > 1 &&
        durationSeconds !== undefined &&
        durationSeconds - kept.at(-1)!.seconds < limits.leastSeconds
      )
        kept.pop()
      return kept
    }
    case 'beyond-end':
      return durationSeconds === undefined ? [...chapters] : chapters.filter(each => each.seconds < durationSeconds)
    case 'no-title':
      return chapters.map((each, i) => (each.title.trim() ? each : { ...each, title: `${untitled} ${i + 1}` }))
    case 'too-few':
      return [...chapters]
  }
}
