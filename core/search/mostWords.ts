import { intersectGroups } from './intersect'

/** Phrases that hold the same words of a seed. */
export interface HeldWords {
  /** Places of the seed's words that are left out, ascending. */
  left: number[]
  /** The phrases, ascending. */
  numbers: Uint32Array
}

/** A bit a word. */
export const MOST_WORDS = 8
/** Part of the seed's words, and of the weight of the known ones, that a phrase holds at least. */
const PART = 0.5

/**
 * Phrases that hold most of a seed's words but not all, in sets by which words they hold: the set that tells most comes
 * first. A word weighs more the fewer phrases hold it (the logarithm of one over their part).
 *
 * Words that no phrase holds are left out first. Where that is not enough, one pass over the others' lists marks which
 * words each phrase holds: it costs as much as the lists are long, however many words may be left out.
 *
 * @param groups for each word, at most eight, lists of ascending numbers of phrases that hold a form of it.
 * @param size how many phrases there are.
 */
export function* mostWords(groups: readonly (readonly Uint32Array[])[], size: number): Generator<HeldWords> {
  const lengths = groups.map(lists => lists.reduce((sum, list) => sum + list.length, 0))
  const known = [...groups.keys()].filter(g => lengths[g])
  const least = Math.max(1, groups.length * PART)
  if (known.length < least) return
  if (known.length < groups.length) {
    const numbers = intersectGroups(known.map(g => groups[g]!))
    if (numbers.length) yield { left: [...groups.keys()].filter(g => !lengths[g]), numbers }
  }

  const held = new Uint8Array(size)
  for (const g of known) {
    const bit = 1 << g
    for (const list of groups[g]!) {
      const { length } = list
      for (let i = 0; i < length; i++) held[list[i]!]! |= bit
    }
  }
  const counts = new Uint32Array(1 << groups.length)
  for (let n = 0; n < size; n++) counts[held[n]!]!++

  const has = (mask: number, g: number) => (mask >>> g) & 1
  const weight = (mask: number) =>
    known.reduce((sum, g) => sum + has(mask, g) * Math.log(Math.max(1, size / lengths[g]!)), 0)
  const all = known.reduce((mask, g) => mask | (1 << g), 0)
  const sets = [...counts.keys()]
    .filter(mask => counts[mask] && mask !== all && known.filter(g => has(mask, g)).length >= least)
    .map(mask => ({ mask, weight: weight(mask) }))
    .filter(set => set.weight >= weight(all) * PART)
    .sort((a, b) => b.weight - a.weight)
  for (const { mask } of sets) {
    const numbers = new Uint32Array(counts[mask]!)
    let count = 0
    for (let n = 0; n < size; n++) if (held[n] === mask) numbers[count++] = n
    yield { left: [...groups.keys()].filter(g => !has(mask, g)), numbers }
  }
}
