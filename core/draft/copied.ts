import { findBlock } from '../blocks/block'
import { readText, type Range, type ReadText } from '../text/match'
import type { Draft, FieldRange } from './draft'
import { linksOf } from './links'

/** A stretch of one text that stands in another as well. */
export interface SharedStretch {
  mine: Range
  theirs: Range
  /** Words that both have, in the same order. */
  words: number
  /** Whether it is the same word for word; otherwise a few words were changed. */
  exact: boolean
}

/** Fewer words in common are how everybody says it. */
export const LEAST_SHARED = 8
/** So many words in a row must agree before a stretch is looked at, and after each change within it. */
const SEED = 4
const AGAIN = 2
/** Words that may be other ones, more, or fewer between two agreeing stretches. */
const CHANGED = 2
/** A run of words that stands more often is a refrain: more of its places are not tried. */
const MOST_PLACES = 24

/** Quotation marks, opening and closing: what is quoted is no copy. */
const QUOTED = /“[^“”]{1,600}”|«[^«»]{1,600}»|„[^„“”]{1,600}[“”]|"[^"\n]{1,600}"/gu

/** Indexes of the words that count: neither in a link nor quoted. */
function counting(text: ReadText): number[] {
  const left: Range[] = [
    ...linksOf(text.raw),
    ...[...text.raw.matchAll(QUOTED)].map(hit => ({ start: hit.index, end: hit.index + hit[0].length })),
  ].sort((a, b) => a.start - b.start)
  const found: number[] = []
  let at = 0
  for (let i = 0; i < text.stems.length; i++) {
    while (at < left.length && left[at]!.end <= text.starts[i]!) at++
    if (at === left.length || left[at]!.start >= text.ends[i]!) found.push(i)
  }
  return found
}

/**
 * Stretches of `mine` that stand in `theirs` too, word for word by stem or with a few words changed (shingles of
 * {@link SEED} words, grown along both texts). They do not overlap in `mine`; where several fit, the longest is told.
 *
 * Links and quotations are left out. Both texts are read in one language.
 *
 * @param least words that must agree.
 * @example sharedStretches(readText('so a b c d e f g h', 'en'), readText('a b c d e f g h too', 'en'))
 * // [{ mine: { start: 3, end: 18 }, theirs: { start: 0, end: 15 }, words: 8, exact: true }]
 */
export function sharedStretches(mine: ReadText, theirs: ReadText, least = LEAST_SHARED): SharedStretch[] {
  const [own, other] = [counting(mine), counting(theirs)]
  if (own.length < least || other.length < least) return []
  const a = own.map(i => mine.stems[i]!)
  const b = other.map(i => theirs.stems[i]!)
  const seeds = new Map<string, number[]>()
  for (let j = 0; j + SEED <= b.length; j++) {
    const key = b.slice(j, j + SEED).join(' ')
    const list = seeds.get(key)
    if (!list) seeds.set(key, [j])
    else if (list.length < MOST_PLACES) list.push(j)
  }
  const found: SharedStretch[] = []
  for (let i = 0; i + SEED <= a.length;) {
    let best: Grown | null = null
    for (const j of seeds.get(a.slice(i, i + SEED).join(' ')) ?? []) {
      const grown = grow(a, b, i, j)
      if (grown.words > (best?.words ?? 0)) best = { ...grown, from: j }
    }
    if (!best || best.words < least) i++
    else {
      found.push({
        mine: { start: mine.starts[own[i]!]!, end: mine.ends[own[best.endA - 1]!]! },
        theirs: { start: theirs.starts[other[best.from]!]!, end: theirs.ends[other[best.endB - 1]!]! },
        words: best.words,
        exact: best.exact,
      })
      i = best.endA
    }
  }
  return found
}

interface Grown {
  words: number
  endA: number
  endB: number
  exact: boolean
  from: number
}

/** How far two texts go along with each other from two places, over small changes. */
function grow(a: readonly string[], b: readonly string[], fromA: number, fromB: number): Grown {
  let [i, j, words, endA, endB, exact] = [fromA, fromB, 0, fromA, fromB, true]
  for (;;) {
    while (i < a.length && j < b.length && a[i] === b[j]) {
      i++
      j++
      words++
    }
    if (i > endA) [endA, endB] = [i, j]
    const step = over(a, b, i, j)
    if (!step) return { words, endA, endB, exact, from: fromB }
    i += step[0]
    j += step[1]
    exact = false
  }
}

/** The smallest change after which both go on alike; `null` for none. */
function over(a: readonly string[], b: readonly string[], i: number, j: number): [number, number] | null {
  for (let sum = 1; sum <= 2 * CHANGED; sum++)
    for (let x = Math.max(0, sum - CHANGED); x <= Math.min(CHANGED, sum); x++) {
      const y = sum - x
      let same = 0
      while (same < AGAIN && a[i + x + same] !== undefined && a[i + x + same] === b[j + y + same]) same++
      if (same === AGAIN) return [x, y]
    }
  return null
}

/** A text of somebody else. */
export interface CopySource {
  videoId: string
  title: string
  channel: string
  description: string
}

/** A stretch of mine that stands in a text of somebody else. */
export interface CopiedStretch extends FieldRange {
  videoId: string
  /** The source’s title and channel. */
  title: string
  channel: string
  /** Its part of all words of the field, 0 to 1. */
  share: number
  /** Whether it is there word for word. */
  exact: boolean
}

/**
 * Stretches of title and description that stand in texts of others, the longest first where they overlap.
 *
 * @param own texts that are mine wherever they stand, such as blocks.
 */
export function copiedFrom(
  draft: Pick<Draft, 'title' | 'description'>,
  sources: readonly CopySource[],
  own: readonly string[],
  language: string,
): CopiedStretch[] {
  const fields = (['title', 'description'] as const).flatMap(field => {
    const text = draft[field]?.trim() ? readText(draft[field], language) : null
    return text
      ? [{ field, text, mine: own.map(each => findBlock(text.raw, each.trim())).filter(each => each !== null) }]
      : []
  })
  const found: (CopiedStretch & { words: number })[] = []
  for (const { videoId, title, channel, description } of sources) {
    const theirs = readText(`${title}\n${description}`, language)
    for (const { field, text, mine } of fields)
      for (const stretch of sharedStretches(text, theirs)) {
        const { start, end } = stretch.mine
        if (mine.some(block => block.start <= start && block.end >= end)) continue
        const { words, exact } = stretch
        found.push({ field, start, end, videoId, title, channel, share: words / text.norms.length, exact, words })
      }
  }
  const kept: CopiedStretch[] = []
  for (const { words: _words, ...each } of found.sort((a, b) => b.words - a.words))
    if (!kept.some(other => other.field === each.field && other.start < each.end && each.start < other.end))
      kept.push(each)
  return kept.sort((a, b) => (a.field === b.field ? a.start - b.start : a.field === 'title' ? -1 : 1))
}
