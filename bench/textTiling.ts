import type { Cue } from '../core/captions/cue'
import { readText } from '../core/text/match'
import { stopWords } from '../core/text/stopwords'

/** Words of a token sequence, and sequences of a block: as in the paper. */
const SEQUENCE = 20
const BLOCK = 10

/**
 * TextTiling (Hearst 1997), to compare with: words in sequences of twenty, neighbouring blocks of ten compared by the
 * cosine of their counts, the curve smoothed once, a boundary where it is deeper than the mean less half the deviation,
 * moved to the nearest end of a cue.
 *
 * @returns the cues at which a subject begins, without the first.
 */
export function textTiling(cues: readonly Cue[], language: string): number[] {
  const stops = stopWords(language)
  const tokens: { stem: string; cue: number; stop: boolean }[] = cues.flatMap((cue, at) => {
    const { stems, norms } = readText(cue.text, language)
    return stems.map((stem, i) => ({ stem, cue: at, stop: stops.has(norms[i]!) }))
  })
  const sequences: Map<string, number>[] = []
  for (let at = 0; at < tokens.length; at += SEQUENCE) {
    const counts = new Map<string, number>()
    for (const { stem, stop } of tokens.slice(at, at + SEQUENCE))
      if (!stop) counts.set(stem, (counts.get(stem) ?? 0) + 1)
    sequences.push(counts)
  }
  const block = (from: number, to: number) => {
    const sum = new Map<string, number>()
    for (const counts of sequences.slice(Math.max(0, from), to))
      for (const [stem, count] of counts) sum.set(stem, (sum.get(stem) ?? 0) + count)
    return sum
  }
  const cosine = (a: Map<string, number>, b: Map<string, number>) => {
    const norm = (of: Map<string, number>) => [...of.values()].reduce((sum, each) => sum + each * each, 0)
    let dot = 0
    for (const [stem, count] of a) dot += count * (b.get(stem) ?? 0)
    return dot / Math.sqrt(norm(a) * norm(b) || 1)
  }
  const gaps = sequences.length - 1
  if (gaps < 2) return []
  const raw = Array.from({ length: gaps }, (_, gap) => {
    // Blocks shrink at the ends of the text, as in the paper.
    const size = Math.min(BLOCK, gap + 1, sequences.length - gap - 1)
    return cosine(block(gap + 1 - size, gap + 1), block(gap + 1, gap + 1 + size))
  })
  const scores = raw.map((_, i) => {
    const near = raw.slice(Math.max(0, i - 1), i + 2)
    return near.reduce((sum, each) => sum + each, 0) / near.length
  })
  const depths = scores.map((score, i) => {
    let [left, right] = [score, score]
    for (let k = i - 1; k >= 0 && scores[k]! >= left; k--) left = scores[k]!
    for (let k = i + 1; k < gaps && scores[k]! >= right; k++) right = scores[k]!
    return left - score + (right - score)
  })
  const mean = depths.reduce((sum, each) => sum + each, 0) / gaps
  const deviation = Math.sqrt(depths.reduce((sum, each) => sum + (each - mean) ** 2, 0) / gaps)
  const found = new Set<number>()
  let last = -4
  for (const [i, depth] of depths.entries()) {
    // At least three sequences lie between two boundaries.
    if (depth <= mean - deviation / 2 || i - last < 4) continue
    if (depth < Math.max(depths[i - 1] ?? 0, depths[i + 1] ?? 0)) continue
    last = i
    const token = Math.min(tokens.length - 1, (i + 1) * SEQUENCE)
    const { cue } = tokens[token]!
    const first = tokens.findIndex(each => each.cue === cue)
    const words = tokens.filter(each => each.cue === cue).length
    const at = token - first > words / 2 ? cue + 1 : cue
    if (at > 0 && at < cues.length) found.add(at)
  }
  return [...found].sort((a, b) => a - b)
}
