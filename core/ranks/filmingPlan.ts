import { mean } from 'd3-array'
import { DAY } from '../time'

/** A video that could be made. */
export interface FilmIdea {
  /** Views a month, and the chance of page one, at each of the sizes of the channel that are reckoned with. */
  views: readonly number[]
  chance: readonly number[]
  /** Searches of each calendar month beside the year’s level, January first; `null` where no season is known. */
  shape: readonly number[] | null
}
/** What a plan is made under. */
export interface FilmBudget {
  /** When each video can be out, UTC milliseconds, in their order. */
  releases: readonly number[]
  /** Sizes of the channel that are reckoned with, as times today’s subscribers; 1 first, growing. */
  sizes: readonly number[]
  /** Subscribers today, and those that a view brings; `null` where the channel does not tell: it does not grow then. */
  growth: { subscribers: number; perView: number } | null
}
/** A video of the plan. */
export interface PlannedFilm {
  /** Which idea. */
  idea: number
  at: number
  /** Views from its release to the end of the plan, and the chance of page one, as the channel will be by then. */
  views: number
  chance: number
  /** The chance as the channel is today. */
  chanceToday: number
  /** Views that it would lose if it came out a release later. */
  later: number
  /** Searches in its first ninety days beside those of an average time. */
  season: number
  /** Subscribers by then; `null` where they are not told. */
  subscribers: number | null
}

/** Each video is out for so many days at least before the plan ends. */
export const LEAST_DAYS = 90
const DAYS_A_MONTH = 30
/** Rounds of improving the order; it is settled long before. */
const MOST_ROUNDS = 40
/** Less than this is no gain: it is what rounding leaves. */
const LEAST_GAIN = 1e-9

/** The days from one time to another, each counted by its searches beside those of an average day. */
export function searchedDays(shape: readonly number[] | null, from: number, to: number): number {
  const days = Math.round((to - from) / DAY)
  if (!shape) return days
  let sum = 0
  for (let day = 0; day < days; day++) sum += shape[new Date(from + day * DAY).getUTCMonth()]!
  return sum / mean(shape)!
}

/** A figure between those of the sizes that are reckoned with. */
function atSize(figures: readonly number[], sizes: readonly number[], size: number): number {
  const above = sizes.findIndex(each => each >= size)
  if (above < 0) return figures.at(-1)!
  if (above === 0) return figures[0]!
  const [from, to] = [Math.log(sizes[above - 1]!), Math.log(sizes[above]!)]
  const part = (Math.log(size) - from) / (to - from)
  return figures[above - 1]! + part * (figures[above]! - figures[above - 1]!)
}

/**
 * Which videos to make, in which order, under a budget of releases: the order that is expected to win most views from
 * now to `LEAST_DAYS` after the last release. What comes out first wins longest, so what waiting costs most goes first:
 * by searches, by chance, by a season that is near; and each video’s views bring subscribers, by which those after it
 * stand better. The best one at each release is taken first; then videos change places, or give way to one left out, as
 * long as that wins more.
 */
export function filmingPlan(ideas: readonly FilmIdea[], { releases, sizes, growth }: FilmBudget): PlannedFilm[] {
  const slots = Math.min(releases.length, ideas.length)
  if (!slots) return []
  const end = releases[slots - 1]! + LEAST_DAYS * DAY
  const gap = slots > 1 ? releases[1]! - releases[0]! : 0
  const days = releases.slice(0, slots).map(at => ideas.map(({ shape }) => searchedDays(shape, at, end)))
  /** Subscribers at a release, by the views that earlier ones have brought by then. */
  const sizeAt = (slot: number, won: readonly number[]) => {
    if (!growth) return 1
    let gained = 0
    for (let k = 0; k < slot; k++)
      gained += (won[k]! * growth.perView * (releases[slot]! - releases[k]!)) / (end - releases[k]!)
    return 1 + gained / growth.subscribers
  }
  const viewsAt = (slot: number, idea: number, size: number) =>
    (atSize(ideas[idea]!.views, sizes, size) / DAYS_A_MONTH) * days[slot]![idea]!
  const wonBy = (order: readonly number[]) => {
    const won: number[] = []
    for (const [slot, idea] of order.entries()) won.push(viewsAt(slot, idea, sizeAt(slot, won)))
    return won
  }
  const worth = (order: readonly number[]) => wonBy(order).reduce((sum, each) => sum + each, 0)

  const left = new Set(ideas.keys())
  let order: number[] = []
  for (let slot = 0; slot < slots; slot++) {
    const size = sizeAt(slot, wonBy(order))
    const best = [...left].reduce((a, b) => (viewsAt(slot, b, size) > viewsAt(slot, a, size) ? b : a))
    left.delete(best)
    order.push(best)
  }
  let now = worth(order)
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const before = now
    const attempt = (tried: number[]) => {
      const then = worth(tried)
      if (then <= now + LEAST_GAIN) return false
      order = tried
      now = then
      return true
    }
    for (let i = 0; i < slots; i++) {
      for (let k = i + 1; k < slots; k++) {
        const tried = [...order]
        ;[tried[i], tried[k]] = [order[k]!, order[i]!]
        attempt(tried)
      }
      for (const other of [...left]) {
        const given = order[i]!
        if (!attempt(order.with(i, other))) continue
        left.delete(other)
        left.add(given)
      }
    }
    if (now <= before) break
  }
  const won = wonBy(order)
  return order.map((idea, slot) => {
    const size = sizeAt(slot, won)
    const { views, chance, shape } = ideas[idea]!
    const at = releases[slot]!
    return {
      idea,
      at,
      views: won[slot]!,
      chance: atSize(chance, sizes, size),
      chanceToday: chance[0]!,
      later: (atSize(views, sizes, size) / DAYS_A_MONTH) * searchedDays(shape, at, Math.min(end, at + gap)),
      season: searchedDays(shape, at, at + LEAST_DAYS * DAY) / LEAST_DAYS,
      subscribers: growth && growth.subscribers * size,
    }
  })
}
