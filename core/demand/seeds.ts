import { phraseKey, words } from '../text/words'

/** Seeds looked at together. */
export const MOST_SEEDS = 12

/** Commas of every script, semicolons and line ends; a comma within a figure (`1,5 mm`) parts nothing. */
const BETWEEN = /(?<!\d),|,(?!\d)|[;\n\r，、；،]/u

/**
 * The seeds in what a person typed or pasted, in their order, each once. Parts without a letter or digit are dropped.
 */
export function splitSeeds(text: string): string[] {
  const seeds = text
    .split(BETWEEN)
    .map(each => each.replace(/\s+/gu, ' ').trim())
    .filter(each => /[\p{L}\p{N}]/u.test(each))
  return [...new Map(seeds.map(seed => [phraseKey(seed), seed])).values()]
}

/** Words of a seed from which on one can be left out, and to which. */
const LEAVES_OUT = { from: 3, to: 8 }

/**
 * Wider seeds for one that hardly any phrase contains: each without one of its words.
 * @returns nothing for a seed of two words or fewer, or of very many.
 */
export function shorterSeeds(seed: string): string[] {
  const all = words(seed).map(word => seed.slice(word.start, word.end))
  if (all.length < LEAVES_OUT.from || all.length > LEAVES_OUT.to) return []
  return [...new Set(all.map((_, left) => all.filter((__, i) => i !== left).join(' ')))]
}
