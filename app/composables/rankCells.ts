import type { Brings } from '../../core/ranks/brings'
import { FRESH_DAYS, type RankChange, type RankDay, type RankStanding } from '../../core/ranks/standing'
import { inDigits } from '../../core/text/inWords'
import { dayOnly, rounded, UNKNOWN } from '~/composables/figures'

/** How a video stands for a phrase, as a table of ranks shows it. */
export interface RankedLine {
  standing: RankStanding | null
  /** A month; `null` where they are not known. */
  searches: number | null
  brings: Brings | null
}
/** What a table of ranks tells of a line, in the order of its columns. */
export const RANK_COLUMNS = [
  { key: 'now', title: 'Rank', align: 'end', width: 58 },
  { key: 'best', title: 'Best', align: 'end', width: 56 },
  { key: 'week', title: '7 days', align: 'end', width: 64 },
  { key: 'month', title: '28 days', align: 'end', width: 68 },
  { key: 'searches', title: 'Searches', align: 'end', width: 88 },
  { key: 'brings', title: 'Brings', align: 'end', width: 72 },
  { key: 'more', title: 'One seat more', align: 'end', width: 92 },
] as const
export type RankColumn = (typeof RANK_COLUMNS)[number]['key']

/** A rank as a table shows it. */
export const rankText = (day: RankDay | null | undefined) =>
  !day ? UNKNOWN : day.rank === null ? `> ${day.depth}` : String(day.rank)
/** When it was seen, and among how many. */
export const rankSeen = (day: RankDay | null | undefined) =>
  !day
    ? 'Not looked up yet'
    : day.rank === null
      ? `${dayOnly(day.day)}: not among the first ${day.depth}`
      : `${dayOnly(day.day)}: rank ${day.rank} of the ${day.depth} that were read`
function changeText({ now }: RankStanding, change: RankChange | null): string {
  if (!change || (now.rank === null && change.from.rank === null)) return UNKNOWN
  if (change.from.rank === null) return 'came in'
  if (now.rank === null) return `was ${change.from.rank}`
  const { by } = change
  return by! > 0 ? `▲ ${by}` : by! < 0 ? `▼ ${-by!}` : '='
}
const changeSaid = (change: RankChange | null | undefined) =>
  change ? `Against ${rankSeen(change.from)}` : 'No rank is known from that time'
/** A few views are told to a tenth: none and hardly any are not the same. */
export const fewViews = (value: number) =>
  value === 0 ? '0' : value < 0.1 ? '< 0.1' : value < 10 ? value.toFixed(1) : rounded(value)
const moreText = (value: number) => (value < 0.1 ? fewViews(value) : `+${fewViews(value)}`)
const bringsSaid = ({ brings, standing }: RankedLine) =>
  brings
    ? `${brings.now.toFixed(1)} views a month: its searches times the share that look at rank ${standing!.now.rank}`
    : `Not known: it takes searches on the site and a rank there of the last ${FRESH_DAYS} days`
/** What a seat more would bring, for the tooltip. */
const moreSaid = ({ brings, standing }: RankedLine) =>
  brings?.more === null
    ? 'It is first already'
    : brings
      ? `${brings.more.toFixed(1)} views a month more at rank ${standing!.now.rank! - 1}`
      : 'Not known'

/** What stands in a column of a line, and the exact figure or the reason why there is none. */
export function rankCell(line: RankedLine, column: RankColumn): { text: string; said: string } {
  const { standing, searches, brings } = line
  switch (column) {
    case 'now':
    case 'best':
      return { text: rankText(standing?.[column]), said: rankSeen(standing?.[column]) }
    case 'week':
    case 'month':
      return {
        text: standing ? changeText(standing, standing[column]) : UNKNOWN,
        said: changeSaid(standing?.[column]),
      }
    case 'searches':
      return { text: rounded(searches), said: searches === null ? 'Not known' : inDigits(searches) }
    case 'brings':
      return { text: brings ? fewViews(brings.now) : UNKNOWN, said: bringsSaid(line) }
    case 'more':
      return { text: brings?.more == null ? UNKNOWN : moreText(brings.more), said: moreSaid(line) }
  }
}

/** Beyond what was read a rank comes after all others, and what is not known after that. */
const BEYOND = 1e6
/** What a table of ranks is sorted by. */
export const rankKeys = ({ standing, searches, brings }: RankedLine) => ({
  now: standing ? (standing.now.rank ?? BEYOND) : 2 * BEYOND,
  best: standing?.best?.rank ?? BEYOND,
  week: standing?.week?.by ?? -BEYOND,
  month: standing?.month?.by ?? -BEYOND,
  searches: searches ?? -1,
  brings: brings?.now ?? -1,
  more: brings?.more ?? -1,
})
