import type { Cue } from '../captions/cue'
import { cleanText } from '../captions/clean'
import { cutChapters, type CutQuestion } from './cut'
import { asSentence } from '../draft/check'
import { readPhrase, readText, runs, type ReadText } from '../text/match'
import { stopWords } from '../text/stopwords'

/** Words of a title at most. */
const LONGEST = 6
/** A title of so many words reads best; each more or fewer costs a part. */
const BEST_LENGTH = 3
const LENGTH_COST = 0.12
/** What it is worth to begin a sentence: there a task is named by its verb. */
const BEGINS = 1.25
/** Where a sentence or a part of one ends: no title goes over it. */
const BREAK = /[.!?…,;:。！？、–—()[\]"“”\n]/u

interface Part {
  text: ReadText
  /** How often each stem is said in it. */
  counts: Map<string, number>
}

/**
 * A title for each chapter from what is said in it: a tray phrase that is spoken there, each once, else the group of
 * its own words that tells it best from the other chapters (TF-IDF), which begins and ends with words that say
 * something.
 *
 * @param starts the first cue of each chapter, rising. @param phrases of the tray, the lead first.
 * @returns '' for a chapter in which nothing is said.
 */
export function chapterTitles(
  cues: readonly Cue[],
  starts: readonly number[],
  phrases: readonly string[],
  language: string,
): string[] {
  const parts = starts.map((from, i): Part => {
    const own = { cues: cues.slice(from, starts[i + 1] ?? cues.length), timed: true }
    // What is only said to whoever watches names no chapter, unless nothing else is said.
    const clean = cleanText(own, { language }).text || own.cues.map(cue => cue.text).join('\n')
    const text = readText(clean, language)
    const counts = new Map<string, number>()
    for (const stem of text.stems) counts.set(stem, (counts.get(stem) ?? 0) + 1)
    return { text, counts }
  })
  const used = new Set<string>()
  const named = parts.map(({ text }) => {
    const phrase = phrases.find(
      each => !used.has(each) && runs(readPhrase(each, language), text, 'inflected').length > 0,
    )
    if (phrase) used.add(phrase)
    return phrase ?? null
  })
  const within = new Map<string, number>()
  for (const { counts } of parts) for (const stem of counts.keys()) within.set(stem, (within.get(stem) ?? 0) + 1)
  const weight = ({ counts }: Part, stem: string) =>
    (1 + Math.log(counts.get(stem) ?? 1)) * Math.log(1 + parts.length / (within.get(stem) ?? 1))
  return parts.map((part, i) => {
    const phrase = named[i] ?? bestGroup(part, stem => weight(part, stem), language)
    return phrase ? asSentence(phrase, language) : ''
  })
}

/** A chapter as it is proposed. */
export interface NamedChapter {
  /** Seconds: whole ones, the first at 0, as sites ask for it. */
  start: number
  title: string
  /** As of its cut. */
  sure: number
}

/** What is said cut into chapters with titles. @param question `phrases` are those of the tray, the lead first. */
export function namedChapters(
  cues: readonly Cue[],
  question: CutQuestion & { phrases: readonly string[] },
): NamedChapter[] {
  const cuts = cutChapters(cues, question)
  const titles = chapterTitles(
    cues,
    cuts.map(cut => cut.cue),
    question.phrases,
    question.language,
  )
  return cuts.map(({ start, sure }, i) => ({ start: i ? Math.floor(start) : 0, title: titles[i]!, sure }))
}

/** The words of a part that tell it best, as they stand in it. */
function bestGroup({ text }: Part, weight: (stem: string) => number, language: string): string | null {
  const stops = stopWords(language)
  const { raw, norms, stems, starts, ends } = text
  const skipped = (i: number) => stops.has(norms[i]!) || /^\d+$/u.test(norms[i]!)
  let best: { from: number; to: number; worth: number } | null = null
  for (let from = 0; from < norms.length; from++) {
    if (skipped(from)) continue
    const before = from ? raw.slice(ends[from - 1], starts[from]) : '.'
    const begins = from === 0 || BREAK.test(before)
    let sum = 0
    const seen = new Set<string>()
    for (let to = from; to < Math.min(norms.length, from + LONGEST); to++) {
      if (to > from && BREAK.test(raw.slice(ends[to - 1], starts[to]))) break
      if (skipped(to)) continue
      if (!seen.has(stems[to]!)) {
        seen.add(stems[to]!)
        sum += weight(stems[to]!)
      }
      const length = to - from + 1
      const worth =
        (sum / Math.sqrt(length)) * (1 - LENGTH_COST * Math.abs(length - BEST_LENGTH)) * (begins ? BEGINS : 1)
      if (!best || worth > best.worth) best = { from, to, worth }
    }
  }
  return best && raw.slice(starts[best.from], ends[best.to])
}
