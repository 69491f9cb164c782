import { firstLine, gradeValue, PART_WEIGHT } from '../rivals/strength'
import { match, readText, type ReadPhrase, type ReadText } from '../text/match'
import { rareness, type Rarity } from './rarity'

/**
 * What a result page lets see of a result, and by what results are put in order. The first ones are of its wording for
 * the phrase, the others of how the video and its channel stand.
 */
export const SIGNALS = [
  'title',
  'exact',
  'firstLine',
  'tag',
  'whole',
  'rare',
  'relevance',
  'relevanceTo10',
  'relevanceTo20',
  'words',
  'reach',
  'pull',
  'youth',
  'length',
] as const
export type Signal = (typeof SIGNALS)[number]
export const SIGNAL = Object.fromEntries(SIGNALS.map((name, i) => [name, i])) as Record<Signal, number>
/** Where the signals of the wording end. */
export const WORDING_SIGNALS = SIGNAL.reach

/** A video's text, read. */
export interface VideoText {
  title: ReadText
  line: ReadText
  description: ReadText
  tags: ReadText[]
  words: number
}

/** @param description absent where nobody told it: it then counts as empty. */
export function readVideoText(
  { title, description, tags }: { title: string; description: string | null; tags: readonly string[] | null },
  language: string,
): VideoText {
  const text = {
    title: readText(title, language),
    line: readText(firstLine(description ?? ''), language),
    description: readText(description ?? '', language),
    tags: (tags ?? []).map(tag => readText(tag, language)),
  }
  const words = text.tags.reduce((sum, tag) => sum + tag.stems.length, text.title.stems.length)
  return { ...text, words: words + text.description.stems.length }
}

/** Every stem of a text, each once. */
export function stemsOf({ title, description, tags }: VideoText): Set<string> {
  const stems = new Set(title.byStem.keys())
  for (const text of [description, ...tags]) for (const stem of text.byStem.keys()) stems.add(stem)
  return stems
}

/** The stems a phrase is found by: of its telling words, or of all where it has no other. */
export const askedStems = ({ content, stems }: ReadPhrase): string[] => [...new Set(content.length ? content : stems)]

// Looked up once; see core/random.
const { exp, log, log10, log1p, max, min } = Math

/** How fast more of a word stops counting, and how much longer texts count less: the usual values of BM25. */
const SATURATION = 1.2
const BY_LENGTH = 0.75
/** Half-way values, so that what nobody told is 0. */
const USUAL = { words: 4, reach: 3.5, pull: 1.5, seconds: 6 }
/** Days in which youth falls to a third. */
export const YOUTH_DAYS = 28

/** The signals of a text for a phrase; those of the standing stay 0. */
export function wordingSignals(phrase: ReadPhrase, text: VideoText, rarity: Rarity): Float64Array {
  const signals = new Float64Array(SIGNALS.length)
  const inTitle = match(phrase, text.title)
  signals[SIGNAL.title] = gradeValue(inTitle)
  signals[SIGNAL.exact] = inTitle.grade === 'exact' ? 1 : 0
  signals[SIGNAL.firstLine] = gradeValue(match(phrase, text.line))
  for (const tag of text.tags) {
    const value = gradeValue(match(phrase, tag))
    if (value > signals[SIGNAL.tag]!) signals[SIGNAL.tag] = value
    if (value === 1) break
  }
  let [held, relevance, rare, asked] = [0, 0, 0, 0]
  const stems = askedStems(phrase)
  const spread = SATURATION * (1 - BY_LENGTH + (BY_LENGTH * text.words) / rarity.length)
  for (const stem of stems) {
    const tells = rareness(rarity, stem)
    asked += tells
    const times = (part: ReadText) => part.byStem.get(stem)?.length ?? 0
    let inTags = 0
    for (const tag of text.tags) inTags += times(tag)
    const often =
      10 *
      (PART_WEIGHT.title * times(text.title) +
        PART_WEIGHT.firstLine * times(text.description) +
        PART_WEIGHT.tag * inTags)
    if (!often) continue
    held++
    rare += tells
    relevance += (tells * often * (SATURATION + 1)) / (often + spread)
  }
  signals[SIGNAL.whole] = stems.length > 0 && held === stems.length ? 1 : 0
  signals[SIGNAL.rare] = asked ? rare / asked : 0
  signals[SIGNAL.relevance] = log1p(relevance)
  signals[SIGNAL.relevanceTo10] = min(10, relevance) / 5
  signals[SIGNAL.relevanceTo20] = min(20, relevance) / 5
  signals[SIGNAL.words] = log1p(text.words) - USUAL.words
  return signals
}

/** How a video and its channel stood when seen; what nobody told is `null`. */
export interface Standing {
  subscribers: number | null
  viewsPerDay: number | null
  ageDays: number | null
  seconds: number | null
}

/** Subscribers as a signal: by tenfolds. */
export const reachSignal = (subscribers: number | null) =>
  subscribers === null ? 0 : log10(1 + max(0, subscribers)) - USUAL.reach
/** Views a day as a signal, of their tenfolds. */
export const pullSignal = (tenfolds: number) => tenfolds - USUAL.pull
export const tenfolds = (viewsPerDay: number) => log10(1 + max(0, viewsPerDay))
export const youthSignal = (ageDays: number) => exp(-max(0, ageDays) / YOUTH_DAYS)

/** Adds the signals of the standing to those of a wording. */
export function withStanding(
  signals: Float64Array,
  { subscribers, viewsPerDay, ageDays, seconds }: Standing,
): Float64Array {
  signals[SIGNAL.reach] = reachSignal(subscribers)
  signals[SIGNAL.pull] = viewsPerDay === null ? 0 : pullSignal(tenfolds(viewsPerDay))
  signals[SIGNAL.youth] = ageDays === null ? 0 : youthSignal(ageDays)
  signals[SIGNAL.length] = seconds === null ? 0 : log(max(1, seconds)) - USUAL.seconds
  return signals
}
