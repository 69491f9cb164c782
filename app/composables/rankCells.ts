import type { Brings } from '../../core/ranks/brings'
import { dayName, FRESH_DAYS, type RankChange, type RankDay, type RankStanding } from '../../core/ranks/standing'
import { rounded, UNKNOWN } from '~/composables/figures'

/** How a video stands for a phrase, as a table of ranks shows it. */
interface Standing {
  standing: RankStanding | null
  brings: Brings | null
}

export const rankText = (day: RankDay | null | undefined) =>
  !day ? UNKNOWN : day.rank === null ? `> ${day.depth}` : String(day.rank)
export const seen = (day: RankDay | null | undefined) =>
  !day
    ? 'Not looked up yet'
    : day.rank === null
      ? `${dayName(day.day)}: not among the first ${day.depth}`
      : `${dayName(day.day)}: rank ${day.rank} of the ${day.depth} that were read`
export function changeText({ now, week, month }: RankStanding, of: 'week' | 'month'): string {
  const change = of === 'week' ? week : month
  if (!change || (now.rank === null && change.from.rank === null)) return UNKNOWN
  if (change.from.rank === null) return 'came in'
  if (now.rank === null) return `was ${change.from.rank}`
  const { by } = change
  return by! > 0 ? `▲ ${by}` : by! < 0 ? `▼ ${-by!}` : '='
}
export const changeSaid = (change: RankChange | null | undefined) =>
  change ? `Against ${seen(change.from)}` : 'No rank is known from that time'
/** A few views are told to a tenth: none and hardly any are not the same. */
export const views = (value: number) =>
  value === 0 ? '0' : value < 0.1 ? '< 0.1' : value < 10 ? value.toFixed(1) : rounded(value)
export const moreText = (value: number) => (value < 0.1 ? views(value) : `+${views(value)}`)
export const bringsSaid = ({ brings, standing }: Standing) =>
  brings
    ? `${brings.now.toFixed(1)} views a month: its searches times the share that look at rank ${standing!.now.rank}`
    : `Not known: it takes searches on the site and a rank there of the last ${FRESH_DAYS} days`
/** What a seat more would bring, for the tooltip. */
export const moreSaid = ({ brings, standing }: Standing) =>
  brings?.more === null
    ? 'It is first already'
    : brings
      ? `${brings.more.toFixed(1)} views a month more at rank ${standing!.now.rank! - 1}`
      : 'Not known'

/** Beyond what was read a rank comes after all others, and what is not known after that. */
const BEYOND = 1e6
/** What a table of ranks is sorted by. */
export const rankKeys = ({ standing, searches, brings }: Standing & { searches: number | null }) => ({
  rank: standing ? (standing.now.rank ?? BEYOND) : 2 * BEYOND,
  best: standing?.best?.rank ?? BEYOND,
  week: standing?.week?.by ?? -BEYOND,
  month: standing?.month?.by ?? -BEYOND,
  searches: searches ?? -1,
  brings: brings?.now ?? -1,
  more: brings?.more ?? -1,
})
