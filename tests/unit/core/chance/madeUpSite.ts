import type { Kept, KnownVideo } from '../../../../core/chance/kept'
import { rarityOf } from '../../../../core/chance/rarity'
import { CONSTANT_WEIGHTS, signalWorth } from '../../../../core/chance/ranking'
import {
  askedStems,
  readVideoText,
  SIGNAL,
  stemsOf,
  withStanding,
  wordingSignals,
  type Signal,
} from '../../../../core/chance/signals'
import { seeded } from '../../../../core/random'
import { readPhrase } from '../../../../core/text/match'

const WORDS =
  'anchor basket candle dragon engine falcon garden hammer island jacket kettle ladder magnet needle orange pepper'.split(
    ' ',
  )
const CHANNELS = 60

export interface MadeUp {
  kept: Kept
  /** The weights that put its pages in order. */
  weights: Float64Array
}

/**
 * A site whose order is known: e^worth decides who gets the next seat, by the constants with some weights replaced.
 *
 * @param listed channels whose videos are all known; of the others only those on pages are.
 */
export function madeUpSite(
  seed: number,
  { pages = 80, videos = 1200, listed = 12, weights: replaced = {} as Partial<Record<Signal, number>> } = {},
): MadeUp {
  const random = seeded(seed)
  const pick = <Value>(list: readonly Value[]): Value => list[Math.floor(random() * list.length)]!
  const some = (count: number) => Array.from({ length: count }, () => pick(WORDS))
  const gumbel = () => -Math.log(-Math.log(random() || 1e-9))
  const weights = Float64Array.from(CONSTANT_WEIGHTS)
  for (const [name, value] of Object.entries(replaced)) weights[SIGNAL[name as Signal]] = value
  const sizes = Array.from({ length: CHANNELS }, () => Math.round(10 ** (1 + 5 * random())))
  const all = Array.from({ length: videos }, (_, i): KnownVideo => {
    const channel = Math.floor(random() * CHANNELS)
    const text = { title: some(4).join(' '), description: `${some(5).join(' ')}.\n${some(6).join(' ')}`, tags: some(3) }
    const tenfolds = 0.4 + 0.3 * Math.log10(sizes[channel]!) + 0.5 * (random() + random() - 1)
    return {
      id: `v${i}`,
      channel,
      text: readVideoText(text, 'en'),
      subscribers: sizes[channel]!,
      viewsPerDay: 10 ** tenfolds - 1,
      ageDays: 1 + 400 * random() ** 2,
      seconds: Math.round(Math.exp(5 + 2 * random())),
    }
  })
  const stems = all.map(video => stemsOf(video.text))
  const rarity = rarityOf(all.map((video, i) => ({ stems: stems[i]!, words: video.text.words })))
  const seen = new Set<number>()
  const kept = Array.from({ length: pages }, () => {
    const phrase = [...new Set(some(2))].join(' ')
    const read = readPhrase(phrase, 'en')
    const order = all
      .flatMap((video, i) =>
        askedStems(read).every(stem => stems[i]!.has(stem))
          ? [
              {
                i,
                score: signalWorth(weights, withStanding(wordingSignals(read, video.text, rarity), video)) + gumbel(),
              },
            ]
          : [],
      )
      .sort((a, b) => b.score - a.score)
    for (const { i } of order.slice(0, 20)) seen.add(i)
    return { phrase, language: 'en', shown: order.slice(0, 20).map(({ i }) => i), more: order.length > 20 }
  })
  all.forEach((video, i) => video.channel < listed && seen.add(i))
  const numbers = new Map([...seen].sort((a, b) => a - b).map((old, n) => [old, n]))
  return {
    weights,
    kept: {
      videos: [...numbers.keys()].map(old => all[old]!),
      channels: sizes.map((_, i) => ({ id: `c${i}`, listed: i < listed })),
      pages: kept.map(({ shown, ...page }) => ({
        ...page,
        seats: shown.map(old => {
          const { subscribers, viewsPerDay, ageDays, seconds } = all[old]!
          return { video: numbers.get(old)!, subscribers, viewsPerDay, ageDays, seconds }
        }),
      })),
    },
  }
}
