import { DAY } from '../time'
import { match, readText, type Match, type ReadPhrase, type ReadText } from '../text/match'

/** What the strength of one seat is worked out from. */
export interface Rival {
  title: string
  /** `null` where the page told none; an empty one is known to be empty. */
  description: string | null
  tags: string[] | null
  /** `null` when the channel hides it. */
  subscribers: number | null
  /** Views a day over the video's life, of at least one day, at the time of the observation. */
  viewsPerDay: number | null
}

export interface Strength {
  /** 0 to 1. */
  strength: number
  targeting: number
  /** `null` when subscribers are hidden. */
  reach: number | null
  /** `null` when views are unknown. */
  pull: number | null
}

/** How much each part of a text counts in its targeting. */
export const PART_WEIGHT = { title: 0.7, firstLine: 0.2, tag: 0.1 }
/** How much each part counts in a result's strength. */
export const STRENGTH_WEIGHTS = { targeting: 0.45, reach: 0.25, pull: 0.3 }
/** A channel of ten million, and a video of a hundred thousand views a day, count as 1. */
export const REACH_DECADES = 7
export const PULL_DECADES = 5

/** How much of a whole match a grade is worth, 0 to 1. */
export function gradeValue(found: Match): number {
  switch (found.grade) {
    case 'exact':
      return 1
    case 'inflected':
      return 0.95
    case 'ordered':
      return 0.75
    case 'scattered':
      return 0.6
    case 'fragment':
      return 0.3 * found.share
    case 'none':
      return 0
  }
}

/** The first line of a description that holds more than white space; '' when none does. */
export function firstLine(description: string): string {
  return /\S[^\n\r]*/u.exec(description)?.[0].trimEnd() ?? ''
}

/**
 * The words of a result page read once: titles, first lines and tags recur from page to page
 * and from phrase to phrase, and matching is cheap only on read texts.
 */
export class RivalReader {
  private readonly texts = new Map<string, ReadText>()

  constructor(private readonly language: string) {}

  read(raw: string): ReadText {
    let text = this.texts.get(raw)
    if (!text) {
      if (this.texts.size > 40_000) this.texts.clear()
      text = readText(raw, this.language)
      this.texts.set(raw, text)
    }
    return text
  }
}

/**
 * How well a rival is worded for a phrase, 0 to 1: title match × .7, first line × .2, best tag
 * × .1; the weight of a part the page did not tell goes to the others.
 */
export function targeting(phrase: ReadPhrase, rival: Rival, reader: RivalReader): number {
  let sum = PART_WEIGHT.title * gradeValue(match(phrase, reader.read(rival.title)))
  let weight = PART_WEIGHT.title
  if (rival.description !== null) {
    weight += PART_WEIGHT.firstLine
    sum += PART_WEIGHT.firstLine * gradeValue(match(phrase, reader.read(firstLine(rival.description))))
  }
  if (rival.tags !== null) {
    weight += PART_WEIGHT.tag
    let best = 0
    for (const tag of rival.tags) {
      best = Math.max(best, gradeValue(match(phrase, reader.read(tag))))
      if (best === 1) break
    }
    sum += PART_WEIGHT.tag * best
  }
  return sum / weight
}

/** 0 to 1 from subscribers: every tenfold is a seventh. */
export const reach = (subscribers: number) => Math.min(1, Math.log10(1 + Math.max(0, subscribers)) / REACH_DECADES)
/** 0 to 1 from views a day: every tenfold is a fifth. */
export const pull = (viewsPerDay: number) => Math.min(1, Math.log10(1 + Math.max(0, viewsPerDay)) / PULL_DECADES)

/** Strength of a seat, .45 targeting + .25 reach + .30 pull, renormalised over the known parts. */
export function strength(phrase: ReadPhrase, rival: Rival, reader: RivalReader): Strength {
  const t = targeting(phrase, rival, reader)
  const a = rival.subscribers === null ? null : reach(rival.subscribers)
  const v = rival.viewsPerDay === null ? null : pull(rival.viewsPerDay)
  let sum = STRENGTH_WEIGHTS.targeting * t
  let weight = STRENGTH_WEIGHTS.targeting
  if (a !== null) {
    sum += STRENGTH_WEIGHTS.reach * a
    weight += STRENGTH_WEIGHTS.reach
  }
  if (v !== null) {
    sum += STRENGTH_WEIGHTS.pull * v
    weight += STRENGTH_WEIGHTS.pull
  }
  return { strength: sum / weight, targeting: t, reach: a, pull: v }
}

/** Views a day over a life of at least one day. Times in UTC milliseconds. */
export function viewsPerDay(views: number, publishedAt: number, observedAt: number): number {
  return views / Math.max(1, (observedAt - publishedAt) / DAY)
}
