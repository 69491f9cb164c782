import { PAGE_SEATS } from '../rivals/difficulty'
import { chanceOfPageOne, firstPage } from '../rivals/forecast'
import { ownStrength } from '../rivals/ownStrength'
import { PART_WEIGHT, pull, reach, STRENGTH_WEIGHTS } from '../rivals/strength'
import { DAY } from '../time'
import { barsOf, pageTraits } from './bars'
import { calibrate, calibratedChance, type Tried } from './calibration'
import { expectedDoing, type Doing } from './doing'
import type { Kept, Prepared } from './kept'
import { CONSTANT_WEIGHTS, signalWorth, type OrderWeights } from './ranking'
import type { Rarity } from './rarity'
import { pullSignal, reachSignal, SIGNAL, SIGNALS, withStanding, wordingSignals, type Standing } from './signals'

/** How well left-out pages were foretold. */
export interface Judged {
  /** Pairs of results on pages left out, and the part of them whose order was told right. */
  pairs: number
  learnt: number
  constants: number
  /** Videos of listed channels before pages left out, and the mean squared error of their chances. */
  tried: number
  learntError: number | null
  constantsError: number | null
}
/** Chances are compared on so many tries at least, and at most: the constants' are dear. */
const TRIES = { least: 100, most: 1000 }
const WIDTH = SIGNALS.length

/** Counts the pairs of a left-out page whose order is told right. */
export function judgePairs({ items, pages }: Prepared, page: number, order: OrderWeights, judged: Judged): void {
  const { from, shown } = pages[page]!
  const worths = Array.from({ length: shown }, (_, i) => [
    signalWorth(order.signals, items.signals, from + i) + order.channels[items.channel[from + i]!]!,
    signalWorth(CONSTANT_WEIGHTS, items.signals, from + i),
  ])
  for (let i = 0; i < shown; i++)
    for (let j = i + 1; j < shown; j++) {
      judged.pairs++
      if (worths[i]![0]! > worths[j]![0]!) judged.learnt++
      if (worths[i]![1]! > worths[j]![1]!) judged.constants++
    }
}

/** A try with what it takes to give it the constants' chance too. */
export interface Trial extends Tried {
  page: number
  video: number
  fold: number
}
interface TryWith {
  doing: Doing
  doings: ReadonlyMap<number, number>
  off: Float64Array
  rarity: Rarity
  fold: number
}

/** Every video of a listed channel that holds the words, as if it were new on the page: those shown on it, and not. */
export function triesOn(
  { pages, videos, channels }: Kept,
  { items, pages: ranked, phrases, lost }: Prepared,
  page: number,
  order: OrderWeights,
  { doing, doings, off, rarity, fold }: TryWith,
): Trial[] {
  const { from, shown } = ranked[page]!
  const { seats, more } = pages[page]!
  if (!more || shown < PAGE_SEATS) return []
  const worths = Array.from(
    { length: shown },
    (_, i) =>
      signalWorth(order.signals, items.signals, from + i) +
      order.channels[items.channel[from + i]!]! +
      order.videos[items.video[from + i]!]!,
  )
  const whole = Array.from({ length: shown }, (_, i) => items.signals[(from + i) * WIDTH + SIGNAL.whole] === 1)
  const tryWith = (video: number, standing: Standing, rank: number | null): Trial[] => {
    const { channel } = videos[video]!
    if (standing.subscribers === null || standing.ageDays === null) return []
    const others = rank === null ? worths : worths.filter((_, i) => i !== rank)
    const bar = barsOf(others, more, PAGE_SEATS)[PAGE_SEATS - 1]!
    const signals = wordingSignals(phrases[page]!, videos[video]!.text, rarity)
    const views = expectedDoing(doing, standing.subscribers, standing.ageDays, doings.get(channel) ?? 0)
    withStanding(signals, { ...standing, viewsPerDay: null, seconds: null })
    signals[SIGNAL.reach] = reachSignal(standing.subscribers)
    signals[SIGNAL.pull] = pullSignal(views)
    const traits = pageTraits(
      others,
      rank === null ? whole : whole.filter((_, i) => i !== rank),
      bar,
      phrases[page]!,
      rarity,
    )
    return [
      {
        gap: signalWorth(order.signals, signals) + order.channels[channel]! - bar,
        spread: Math.hypot(order.signals[SIGNAL.pull]! * doing.within, off[channel]!),
        traits,
        won: rank !== null && rank < PAGE_SEATS,
        page,
        video,
        fold,
      },
    ]
  }
  const won = seats.flatMap(({ video, ...standing }, rank) =>
    whole[rank] && channels[videos[video]!.channel]!.listed ? tryWith(video, standing, rank) : [],
  )
  return [...won, ...lost[page]!.flatMap(video => tryWith(video, videos[video]!, null))]
}

/** The mean squared error of learnt chances, each calibrated on the other folds, and of the constants' chances. */
export function judgeChances(
  kept: Kept,
  prepared: Prepared,
  tried: readonly Trial[],
  folds: number,
  judged: Judged,
): void {
  const every = Math.max(1, Math.ceil(tried.length / TRIES.most))
  const some = tried.filter((_, i) => i % every === 0)
  judged.tried = some.length
  if (some.length < TRIES.least) return
  const how = Array.from({ length: folds }, (_, fold) => calibrate(tried.filter(each => each.fold !== fold)))
  const constants = constantsOf(kept, prepared)
  let [learnt, fixed] = [0, 0]
  for (const each of some) {
    learnt += (calibratedChance(how[each.fold]!, each) - Number(each.won)) ** 2
    fixed += (constants(each) - Number(each.won)) ** 2
  }
  judged.learntError = learnt / some.length
  judged.constantsError = fixed / some.length
}

/** The chance that the constants give a try. */
function constantsOf({ pages, videos }: Kept, { items, pages: ranked }: Prepared): (each: Trial) => number {
  const byChannel = new Map<number, { views: number; publishedAt: number }[]>()
  for (const { channel, viewsPerDay, ageDays } of videos)
    if (viewsPerDay !== null && ageDays !== null)
      byChannel.set(channel, [
        ...(byChannel.get(channel) ?? []),
        { views: viewsPerDay * Math.max(1, ageDays), publishedAt: -ageDays * DAY },
      ])
  const { targeting, reach: reachWeight, pull: pullWeight } = STRENGTH_WEIGHTS
  const targeted = (signals: ArrayLike<number>, at = 0) =>
    PART_WEIGHT.title * signals[at + SIGNAL.title]! +
    PART_WEIGHT.firstLine * signals[at + SIGNAL.firstLine]! +
    PART_WEIGHT.tag * signals[at + SIGNAL.tag]!
  return ({ page, video }) => {
    const { from, to } = ranked[page]!
    const strengths = pages[page]!.seats.flatMap((seat, i) =>
      seat.video === video
        ? []
        : [
            targeting * targeted(items.signals, (from + i) * WIDTH) +
              reachWeight * (seat.subscribers === null ? 0.5 : reach(seat.subscribers)) +
              pullWeight * (seat.viewsPerDay === null ? 0.3 : pull(seat.viewsPerDay)),
          ],
    )
    const { channel, subscribers } = videos[video]!
    const own = ownStrength({ subscribers, videos: byChannel.get(channel) ?? [] }, 0)
    let item = from
    while (item < to && items.video[item] !== video) item++
    const worded = item < to ? targeted(items.signals, item * WIDTH) : 1
    const mine = (own?.strength ?? 0.5) - targeting * (1 - worded)
    const compared = firstPage(strengths, pages[page]!.more)
    return chanceOfPageOne(mine, compared.strengths, compared.more) ?? 0.5
  }
}
