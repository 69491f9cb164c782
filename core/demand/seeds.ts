import { phraseKey } from '../text/words'

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
