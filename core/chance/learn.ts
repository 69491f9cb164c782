import { pageFamilies } from '../evidence/families'
import { PAGE_SEATS } from '../rivals/difficulty'
import { calibrate, type Tried } from './calibration'
import { weightErrors } from './curvature'
import { fitDoing, type SeenVideo } from './doing'
import { judgeChances, judgePairs, triesOn, type Judged, type Trial } from './judging'
import { prepare, type Kept, type Prepared } from './kept'
import { learnOrder } from './likelihood'
import type { ChanceModel, LearntChannel } from './model'
import type { OrderWeights } from './ranking'
import { rarityOf } from './rarity'
import { stemsOf } from './signals'

export interface Learnt {
  model: ChanceModel
  /** Standard errors of the weights. */
  errors: Float64Array
  pages: number
  families: number
  judged: Judged
  /** Whether it foretold pages left out better than the constants do. */
  better: boolean
}

/** Fewer pages than this tell nothing. */
export const LEAST_PAGES = 40
const FOLDS = 3
/** What a video is worth beyond its signals is not kept when it is less. */
const NOTHING = 0.02

/** How often each channel takes part, and so how sure its worth is. */
function channelOffs({ items }: Prepared): Float64Array {
  const seen = new Float64Array(items.channels)
  for (const channel of items.channel) seen[channel]!++
  return seen.map(count => 1 / Math.sqrt(4 + count / 2))
}

/**
 * Learns from pages kept how results come to stand where they do, and judges it by pages left out: a third at a time,
 * with all pages that lead to the same videos.
 *
 * Cost: some 4 s for 700 pages of twenty.
 *
 * @returns `null` where there are too few pages.
 */
export function learn(kept: Kept): Learnt | null {
  const { pages, videos, channels } = kept
  if (pages.length < LEAST_PAGES) return null
  const stems = videos.map(video => stemsOf(video.text))
  const rarity = rarityOf(videos.map((video, i) => ({ stems: stems[i]!, words: video.text.words })))
  const prepared = prepare(kept, rarity, stems)
  const seen = videos.flatMap((video): SeenVideo[] => {
    const { channel, subscribers, ageDays, viewsPerDay } = video
    return channels[channel]!.listed && subscribers !== null && ageDays !== null && viewsPerDay !== null
      ? [{ channel, subscribers, ageDays, viewsPerDay }]
      : []
  })
  const { doing, channels: doings } = fitDoing(seen)
  const { family, count } = pageFamilies(pages.map(page => page.seats.slice(0, PAGE_SEATS).map(seat => seat.video)))
  const off = channelOffs(prepared)
  const modelOf = (order: OrderWeights, tried: readonly Tried[]): ChanceModel => ({
    weights: order.signals,
    channels: new Map(
      channels.map(({ id }, i): [string, LearntChannel] => [
        id,
        { worth: order.channels[i]!, off: off[i]!, doing: doings.get(i) ?? 0 },
      ]),
    ),
    videos: new Map(
      videos.flatMap(({ id }, i): [string, number][] => {
        const worth = order.videos[i]!
        return Math.abs(worth) < NOTHING ? [] : [[id, worth]]
      }),
    ),
    rarity,
    doing,
    calibration: calibrate(tried),
  })

  const tried: Trial[] = []
  const judged: Judged = { pairs: 0, learnt: 0, constants: 0, tried: 0, learntError: null, constantsError: null }
  for (let fold = 0; fold < FOLDS; fold++) {
    const out = (page: number) => family[page]! % FOLDS === fold
    const order = learnOrder(
      prepared.items,
      prepared.pages.filter((_, page) => !out(page)),
    )
    pages.forEach((_, page) => {
      if (!out(page)) return
      judgePairs(prepared, page, order, judged)
      tried.push(...triesOn(kept, prepared, page, order, { doing, doings, off, rarity, fold }))
    })
  }
  if (judged.pairs) {
    judged.learnt /= judged.pairs
    judged.constants /= judged.pairs
  }
  judgeChances(kept, prepared, tried, FOLDS, judged)
  const order = learnOrder(prepared.items, prepared.pages)
  const better =
    judged.learnt > judged.constants && (judged.learntError === null || judged.learntError < judged.constantsError!)
  return {
    model: modelOf(order, tried),
    errors: weightErrors(prepared.items, prepared.pages, order),
    pages: pages.length,
    families: count,
    judged,
    better,
  }
}
