import { PAGE_SEATS } from '../rivals/difficulty'
import type { ReadPhrase } from '../text/match'
import { holdersOf, type Rarity } from './rarity'
import { askedStems } from './signals'

// Looked up once; see core/random.
const { exp, log, log1p, max, min } = Math

/**
 * The last seats read, whose mean stands for those that nobody read, and for how many such: with more of them bars
 * tell less of the page, and forecasts on made-up sites get worse.
 */
const TAIL = 10
const UNREAD = 3

function unreadOdds(odds: readonly number[]): number {
  const tail = odds.slice(-TAIL)
  return (UNREAD * tail.reduce((sum, each) => sum + each, 0)) / tail.length
}

/**
 * What a new video must be worth to have about an even chance to stand among the first k of a page, for each k.
 *
 * Given the order seen, what passes before rank k is filled is the sum of 1 ÷ what was left of all odds at each rank
 * above it (the waiting time of the k-th in a race of exponential clocks, which is how such orders come about); the bar
 * is −log of that.
 *
 * @param worths of the results by rank. @param more whether there are results beyond those read.
 * @param length for how many ranks; beyond those read the odds left stay as they are.
 */
export function barsOf(worths: readonly number[], more: boolean, length = worths.length): Float64Array {
  const best = max(...worths)
  const odds = worths.map(worth => exp(worth - best))
  const unread = unreadOdds(odds)
  // A page that ends has room for whatever is found.
  let left = odds.reduce((sum, each) => sum + each, more ? unread : 0)
  const bars = new Float64Array(length)
  let waited = 0
  for (let rank = 0; rank < length; rank++) {
    if (rank >= odds.length && !more) {
      bars[rank] = -Infinity
      continue
    }
    waited += 1 / left
    bars[rank] = best - log(waited)
    if (rank < odds.length) left = max(left - odds[rank]!, more ? unread : Number.MIN_VALUE)
  }
  return bars
}

/** What else of a page says how high its bar is; each about 0 on a usual page. */
export const TRAITS = ['whole', 'tailBelow', 'fallsOff', 'rarest', 'together', 'words'] as const

/**
 * @param worths of the results by rank. @param whole for each whether it holds all words of the phrase.
 * @param bar of page one.
 */
export function pageTraits(
  worths: readonly number[],
  whole: readonly boolean[],
  bar: number,
  phrase: ReadPhrase,
  rarity: Rarity,
): Float64Array {
  const mean = (list: readonly number[]) => list.reduce((sum, each) => sum + each, 0) / (list.length || 1)
  const back = mean(worths.slice(PAGE_SEATS / 2, PAGE_SEATS))
  const stems = askedStems(phrase)
  const holders = stems.map(stem => holdersOf(rarity, stem))
  // As if words went together three times as often as by chance.
  const together = holders.reduce((part, held) => part * min(1, (3 * held) / rarity.texts), rarity.texts)
  return Float64Array.of(
    mean(whole.slice(PAGE_SEATS / 2, PAGE_SEATS).map(Number)) - 0.7,
    back - bar,
    mean(worths.slice(0, PAGE_SEATS)) - back,
    holders.length ? log1p(min(...holders)) - 4 : 0,
    log1p(together) - 4,
    stems.length - 3,
  )
}
