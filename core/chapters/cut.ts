import { readText } from '../text/match'
import { stopWords } from '../text/stopwords'
import type { Cue } from '../captions/cue'

/** Where a chapter begins and how sure that is. */
export interface Cut {
  /** Index of its first cue. */
  cue: number
  /** Seconds. */
  start: number
  /** 0 to 1: the model's own probability that a chapter begins within a sentence of here; 1 for the first. */
  sure: number
}

export interface CutQuestion {
  /** BCP 47: stems and stop words. */
  language: string
  /** So many chapters; without it as many as the words tell. */
  count?: number
  /** No chapter is shorter, in seconds. */
  minSeconds?: number
}

/** A chapter's shortest length where none is asked for, in seconds. */
export const SHORTEST_CHAPTER = 10
/** A text is cut at so many places at most: neighbouring sentences are taken together beyond. */
const MOST_UNITS = 700
/** What a pause before a chapter is worth, in the model's nats for each doubling of the usual pause. */
const PAUSE_WORTH = 1.2
const MOST_PAUSE = 3
/** What it costs to begin a chapter within a sentence. */
const BROKEN_SENTENCE = 6
/**
 * How much one chapter more costs, as a multiple of the paper's logarithm of the number of words. Chosen on the tuning
 * half of the joined texts in `bench/`.
 */
const PRIOR = 1.4
/**
 * Words are not independent, so that their probabilities are too sure of themselves. With this a boundary told with so
 * much sureness was true as often, on the same texts.
 */
const TEMPERATURE = 1.5
/** So many units to either side count as the same place, where a text has at least so many for each. */
const NEAR = 1
const UNITS_PER_NEAR = 20

const SENTENCE_END = /[.!?…。！？]["'”’»)\]]{0,2}$/u

/** Stretches between which may be cut, with the content words of each. */
interface Unit {
  cue: number
  start: number
  end: number
  /** Indexes of stems. */
  words: number[]
  /** What speaks for a chapter beginning here, in nats. */
  favour: number
}

function unitsOf(cues: readonly Cue[], language: string): { units: Unit[]; stems: number } {
  const stops = stopWords(language)
  const numbers = new Map<string, number>()
  const pauses = cues.slice(1).map((cue, i) => Math.max(0, cue.start - cues[i]!.end))
  const usual = [...pauses].sort((a, b) => a - b)[Math.floor(pauses.length / 2)] ?? 0
  const punctuated = cues.filter(cue => SENTENCE_END.test(cue.text)).length * 12 > cues.length
  const units: Unit[] = cues.map((cue, at) => {
    const { stems, norms } = readText(cue.text, language)
    const words: number[] = []
    stems.forEach((stem, i) => {
      if (stops.has(norms[i]!)) return
      let number = numbers.get(stem)
      if (number === undefined) numbers.set(stem, (number = numbers.size))
      words.push(number)
    })
    const pause = at ? pauses[at - 1]! : 0
    const long = Math.min(MOST_PAUSE, Math.max(0, Math.log2((pause + 0.2) / (usual + 0.2))))
    const broken = punctuated && at > 0 && !SENTENCE_END.test(cues[at - 1]!.text)
    return {
      cue: at,
      start: cue.start,
      end: cue.end,
      words,
      favour: PAUSE_WORTH * long - (broken ? BROKEN_SENTENCE : 0),
    }
  })
  return { units: together(units), stems: numbers.size }
}

/** Units joined where a cut is least likely until there are few enough. */
function together(units: Unit[]): Unit[] {
  if (units.length <= MOST_UNITS) return units
  const bounds = [...units.keys()].slice(1).sort((a, b) => units[b]!.favour - units[a]!.favour || a - b)
  const kept = new Set([0, ...bounds.slice(0, MOST_UNITS - 1)])
  const made: Unit[] = []
  units.forEach((unit, at) => {
    if (kept.has(at)) made.push({ ...unit, words: [...unit.words] })
    else {
      made.at(-1)!.words.push(...unit.words)
      made.at(-1)!.end = unit.end
    }
  })
  return made
}

/**
 * What each stretch of units costs as one chapter: the description length of its words under their own frequencies
 * (Utiyama and Isahara 2001), less what speaks for a chapter beginning there. Row i, column j: units i to j, both in.
 */
function costsOf(units: readonly Unit[], stems: number, total: number): Float64Array {
  const n = units.length
  const costs = new Float64Array(n * n)
  const counts = new Uint32Array(stems)
  const prior = PRIOR * Math.log(Math.max(2, total))
  for (let i = 0; i < n; i++) {
    counts.fill(0)
    let words = 0
    let known = 0
    for (let j = i; j < n; j++) {
      for (const word of units[j]!.words) {
        const had = counts[word]!++
        words++
        known += (had + 1) * Math.log(had + 2) - had * Math.log(had + 1)
      }
      costs[i * n + j] = words * Math.log(words + stems) - known + prior - (i ? units[i]!.favour : 0)
    }
  }
  return costs
}

/**
 * Cuts what is said into chapters: the most probable segmentation by dynamic programming over the places between cues,
 * pauses and ends of sentences preferred.
 *
 * @param cues in order of time.
 * @returns the first chapter begins with the first cue. Fewer than asked for where the shortest length allows no more;
 * none without cues.
 */
export function cutChapters(cues: readonly Cue[], question: CutQuestion): Cut[] {
  const { language, count, minSeconds = SHORTEST_CHAPTER } = question
  if (!cues.length) return []
  const { units, stems } = unitsOf(cues, language)
  const n = units.length
  const total = units.reduce((sum, unit) => sum + unit.words.length, 0)
  const costs = costsOf(units, stems, total)
  const fits = (i: number, j: number) =>
    (j + 1 < n ? units[j + 1]!.start : units[j]!.end) - units[i]!.start >= minSeconds
  const starts = (count ? byCount(n, costs, fits, count) : best(n, costs, fits)) ?? [0]
  const sure = surenessOf(n, costs, fits)
  return starts.map(at => ({ cue: units[at]!.cue, start: units[at]!.start, sure: at ? sure[at]! : 1 }))
}

type Fits = (i: number, j: number) => boolean

/** The cheapest segmentation; `null` where the shortest length allows none. */
function best(n: number, costs: Float64Array, fits: Fits): number[] | null {
  const least = new Float64Array(n + 1).fill(Infinity)
  const from = new Int32Array(n + 1).fill(-1)
  least[0] = 0
  for (let j = 0; j < n; j++)
    for (let i = 0; i <= j; i++) {
      const cost = least[i]! + costs[i * n + j]!
      if (cost < least[j + 1]! && fits(i, j)) {
        least[j + 1] = cost
        from[j + 1] = i
      }
    }
  if (from[n] === -1) return null
  const starts: number[] = []
  for (let at = n; at > 0; at = from[at]!) starts.push(from[at]!)
  return starts.reverse()
}

/** The cheapest with so many chapters, or as many below as the shortest length allows. */
function byCount(n: number, costs: Float64Array, fits: Fits, count: number): number[] | null {
  const most = Math.min(count, n)
  const from: Int32Array[] = []
  let least = new Float64Array(n + 1).fill(Infinity)
  least[0] = 0
  let reached = 0
  for (let k = 1; k <= most; k++) {
    const next = new Float64Array(n + 1).fill(Infinity)
    const back = new Int32Array(n + 1).fill(-1)
    for (let j = k - 1; j < n; j++)
      for (let i = k - 1; i <= j; i++) {
        const cost = least[i]! + costs[i * n + j]!
        if (cost < next[j + 1]! && fits(i, j)) {
          next[j + 1] = cost
          back[j + 1] = i
        }
      }
    from.push(back)
    if (next[n]! < Infinity) reached = k
    least = next
  }
  if (!reached) return null
  const starts: number[] = []
  let at = n
  for (let k = reached; k > 0; k--) {
    at = from[k - 1]![at]!
    starts.push(at)
  }
  return starts.reverse()
}

/** Probability that a chapter begins at a unit or next to it, over all segmentations (forward and backward sums). */
function surenessOf(n: number, costs: Float64Array, fits: Fits): number[] {
  const plus = (a: number, b: number) => {
    const [high, low] = a > b ? [a, b] : [b, a]
    return low === -Infinity ? high : high + Math.log1p(Math.exp(low - high))
  }
  const forward = new Float64Array(n + 1).fill(-Infinity)
  const backward = new Float64Array(n + 1).fill(-Infinity)
  forward[0] = 0
  backward[n] = 0
  for (let j = 0; j < n; j++)
    for (let i = 0; i <= j; i++)
      if (forward[i]! > -Infinity && fits(i, j))
        forward[j + 1] = plus(forward[j + 1]!, forward[i]! - costs[i * n + j]! / TEMPERATURE)
  for (let i = n - 1; i >= 0; i--)
    for (let j = i; j < n; j++)
      if (backward[j + 1]! > -Infinity && fits(i, j))
        backward[i] = plus(backward[i]!, backward[j + 1]! - costs[i * n + j]! / TEMPERATURE)
  const all = forward[n]!
  const own = Array.from({ length: n }, (_, at) =>
    all === -Infinity ? 0 : Math.exp(forward[at]! + backward[at]! - all),
  )
  const near = Math.min(NEAR, Math.floor(n / UNITS_PER_NEAR))
  return own.map((_, at) =>
    Math.min(
      1,
      own.slice(Math.max(1, at - near), at + near + 1).reduce((sum, each) => sum + each, 0),
    ),
  )
}
