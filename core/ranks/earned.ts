import { ascending, group, mean, quantileSorted } from 'd3-array'
import { seeded } from '../random'
import { countFactors, splitCount, type Exposure } from '../statistics/countFactors'

/** Views of a video that came one way: by searching a phrase, or by no search that is known. */
export interface WayOfViews {
  /** `null` for all views that came by no phrase that is known. */
  phrase: string | null
  /** What the searchers want; '' where the phrase does not show it, or there is none. */
  intent: string
  /** The place that the phrase names; '' for none. */
  place: string
  /** Above 0. */
  views: number
}
/** A video whose clicks, calls, coupons or orders were counted over the same days as its views. */
export interface EarningVideo {
  id: string
  /** How often the thing happened; whole. */
  count: number
  ways: readonly WayOfViews[]
}
/** A figure with its 95 % interval. */
export interface Estimate {
  value: number
  low: number
  high: number
}
/** What views of one kind bring. */
export interface EarningGroup {
  intent: string
  place: string
  views: number
  /** How often it happened, by lot where a video's views are of several kinds. */
  count: Estimate
  /** How often it happens for each view. */
  rate: Estimate
}
/** What a view brings by what its searcher wants, over all places. */
export interface EarningIntent {
  /** '' where phrases do not show it. */
  intent: string
  views: number
  rate: Estimate
}
export interface EarningPhrase extends EarningGroup {
  phrase: string | null
  /** The ids of the videos that it brought views, most first. */
  videos: string[]
}
export interface Earned {
  /** Of any view, where nothing is known of how it came. */
  rate: Estimate
  /** Each intent and place that views came by. */
  groups: EarningGroup[]
  /** Each intent that views came by; those that came by no phrase have none. */
  intents: EarningIntent[]
  /** What brought most first; all views that came by no phrase are one line. */
  phrases: EarningPhrase[]
}

/** Views that came by no phrase are a kind of their own. */
const NO_PHRASE = 'no phrase'

/**
 * What phrases bring, told from how often something happened for each video and how its views came. A video is not told
 * apart by phrase: what it brought is divided among the ways its views came, by their number and by what views of that
 * intent and place bring over all videos (`countFactors`).
 * @yields now and then, so that others have their turn. @returns `null` where there are no views to tell from.
 */
export function* earnedOf(videos: readonly EarningVideo[], seed = 1): Generator<undefined, Earned | null> {
  const followed = videos.filter(({ ways }) => ways.length)
  if (!followed.length) return null
  const random = seeded(seed)
  const intentNumbers = new Numbers()
  const placeNumbers = new Numbers()
  const groups: EarningWay[][] = []
  const groupNumbers = new Numbers()
  const lines = new Map<string | null, EarningWay[]>()
  const ways = followed.map(({ id, ways: list }, unit) =>
    list.map(({ phrase, intent, place, views }) => {
      const first = intentNumbers.of(phrase === null ? NO_PHRASE : intent)
      const second = placeNumbers.of(place)
      const group = groupNumbers.of(`${first} ${second}`)
      const way = { phrase, intent, place, views, video: id, unit, first, second, group, came: new Float64Array(0) }
      ;(groups[group] ??= []).push(way)
      const line = lines.get(phrase)
      if (line) line.push(way)
      else lines.set(phrase, [way])
      return way
    }),
  )
  const counts = followed.map(({ count }) => count)
  const draws = yield* countFactors(
    counts,
    kindsOf(ways.flat()),
    { first: intentNumbers.size, second: placeNumbers.size },
    random,
  )
  const rates = groups.map(([way]) =>
    draws.map(draw => draw.usual * draw.first[way!.first]! * draw.second[way!.second]!),
  )
  for (const way of ways.flat()) way.came = new Float64Array(draws.length)
  const most = ways.reduce((longest, { length }) => Math.max(longest, length), 0)
  const [shares, parts] = [new Float64Array(most), new Float64Array(most)]
  for (let k = 0; k < draws.length; k++) {
    for (const [unit, list] of ways.entries()) {
      if (!counts[unit]) continue
      list.forEach(({ views, group }, i) => {
        shares[i] = views * rates[group]![k]!
      })
      splitCount(counts[unit]!, shares, parts, 0, list.length, random)
      list.forEach((way, i) => {
        way.came[k] = parts[i]!
      })
    }
    yield
  }
  const told = (members: readonly EarningWay[]): EarningGroup => ({
    intent: members[0]!.intent,
    place: members[0]!.place,
    views: members.reduce((sum, { views }) => sum + views, 0),
    count: estimate(draws.map((_, k) => members.reduce((sum, { came }) => sum + came[k]!, 0))),
    rate: middle(rates[members[0]!.group]!),
  })
  const intents: EarningIntent[] = []
  const known = ways.flat().filter(({ phrase }) => phrase !== null)
  for (const [intent, members] of group(known, way => way.intent)) {
    const views = members.reduce((sum, way) => sum + way.views, 0)
    const rateIn = (k: number) => members.reduce((sum, way) => sum + (way.views / views) * rates[way.group]![k]!, 0)
    intents.push({ intent, views, rate: middle(draws.map((_, k) => rateIn(k))) })
    yield
  }
  const phrases: EarningPhrase[] = []
  for (const [phrase, members] of lines) {
    const byViews = [...members].sort((a, b) => b.views - a.views)
    phrases.push({ phrase, ...told(members), videos: [...new Set(byViews.map(({ video }) => video))] })
    yield
  }
  return {
    rate: middle(draws.map(({ usual }) => usual)),
    groups: groups.map(told),
    intents,
    phrases: phrases.sort((a, b) => b.count.value - a.count.value || b.views - a.views),
  }
}

interface EarningWay extends WayOfViews {
  video: string
  unit: number
  first: number
  second: number
  group: number
  /** How much of what its video brought came by it, in each draw. */
  came: Float64Array
}

/** Views of one kind of one video are drawn as one. */
function kindsOf(ways: readonly EarningWay[]): Exposure[] {
  const found = new Map<string, Exposure>()
  for (const { unit, first, second, group, views } of ways) {
    const key = `${unit} ${group}`
    const has = found.get(key)
    if (has) has.amount += views
    else found.set(key, { unit, first, second, amount: views })
  }
  return [...found.values()]
}

/** Numbers texts by their first appearance. */
class Numbers {
  private readonly known = new Map<string, number>()

  get size(): number {
    return this.known.size
  }

  of(text: string): number {
    const has = this.known.get(text)
    if (has !== undefined) return has
    this.known.set(text, this.known.size)
    return this.known.size - 1
  }
}

/** The mean of what was drawn, which adds up, and between which values 95 of 100 lie. */
const estimate = (drawn: readonly number[]): Estimate => ({ ...middle(drawn), value: mean(drawn)! })

/** The middle one of what was drawn: of little that is known a mean would follow the few largest. */
function middle(drawn: readonly number[]): Estimate {
  const sorted = [...drawn].sort(ascending)
  return {
    value: quantileSorted(sorted, 0.5)!,
    low: quantileSorted(sorted, 0.025)!,
    high: quantileSorted(sorted, 0.975)!,
  }
}
