import { setImmediate as nextTurn } from 'node:timers/promises'
import { bringsOf } from '../../core/ranks/brings'
import { isFresh, standingOf } from '../../core/ranks/standing'
import type { Shares } from '../../core/rivals/winnings'
import type { ChannelRankRow, ChannelRankSort, ChannelRanksAnswer } from '../../shared/ranks'
import { MOST_SERIES, type ChannelSeriesStore } from '../data/channelSeries'
import type { PageKind } from '../data/results'

/** Worked out in one go; other requests have their turn in between. */
const BATCH = 500

export interface ChannelRanksQuestion {
  channel: string
  region: string
  kind: PageKind
  /** The part of searches that looks at each rank. */
  shares: Shares
  /** Days since 1970. */
  today: number
  /** Text that the phrase or the title holds, in any case. */
  contains?: string | undefined
  sort?: ChannelRankSort
  offset?: number
  limit?: number
}

/** What a row is ordered by; `null` comes last, whichever way. */
const KEYS: Record<ChannelRankSort['column'], (row: ChannelRankRow) => number | string | null> = {
  phrase: row => row.phrase,
  title: row => row.title.toLowerCase(),
  seen: row => row.standing.now.day,
  now: row => row.standing.now.rank,
  best: row => row.standing.best?.rank ?? null,
  week: row => row.standing.week?.by ?? null,
  month: row => row.standing.month?.by ?? null,
  searches: row => row.searches,
  brings: row => row.brings?.now ?? null,
  more: row => row.brings?.more ?? null,
}

/** Rows in their order; those alike stay as they were. */
function ordered(rows: readonly ChannelRankRow[], { column, direction }: ChannelRankSort): ChannelRankRow[] {
  const sign = direction === 'asc' ? 1 : -1
  const keyed = rows.map(row => ({ row, key: KEYS[column](row) }))
  return keyed
    .sort(({ key: a }, { key: b }) => {
      if (a === b) return 0
      if (a === null) return 1
      if (b === null) return -1
      return a < b ? -sign : sign
    })
    .map(({ row }) => row)
}

/** Where all videos of a channel stand for what they were looked up for, in one region. */
export async function channelRanks(
  store: ChannelSeriesStore,
  question: ChannelRanksQuestion,
): Promise<ChannelRanksAnswer> {
  const { channel, region, kind, shares, today, contains = '' } = question
  const { sort = { column: 'brings', direction: 'desc' }, offset = 0, limit = MOST_SERIES } = question
  const series = store.of(channel, region, kind)
  const wanted = contains.trim().toLowerCase()
  const rows: ChannelRankRow[] = []
  const fresh = { rows: 0, brings: 0 }
  for (const [i, { phrase, video, title, searches, days }] of series.slice(0, MOST_SERIES).entries()) {
    if (i % BATCH === 0) await nextTurn()
    if (wanted && !`${phrase} ${title}`.toLowerCase().includes(wanted)) continue
    const standing = standingOf(days)
    if (!standing) continue
    const isNow = isFresh(standing.now, today)
    // Searches and shares are the site's: how many look at a block of web search nobody tells.
    const brings = kind === 'web' || !isNow ? null : bringsOf(searches, standing.now.rank, shares)
    if (isNow) fresh.rows++
    fresh.brings += brings?.now ?? 0
    rows.push({ phrase, videoId: video, title, standing, searches, brings })
  }
  return {
    rows: ordered(rows, sort).slice(offset, offset + limit),
    total: rows.length,
    fresh,
    more: series.length > MOST_SERIES,
  }
}
