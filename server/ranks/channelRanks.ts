import { bringsOf } from '../../core/ranks/brings'
import { FRESH_DAYS, isFresh, standingOf } from '../../core/ranks/standing'
import type { Shares } from '../../core/rivals/winnings'
import type { ChannelRanksAnswer, ChannelRankSort } from '../../shared/ranks'
import { MOST_SERIES, type ChannelSeriesStore } from '../data/channelSeries'
import type { PageKind } from '../data/results'

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
/** Where all videos of a channel stand for what they were looked up for, in one region. */
export function channelRanks(store: ChannelSeriesStore, question: ChannelRanksQuestion): ChannelRanksAnswer {
  const { channel, region, kind, today, contains = '' } = question
  const { sort = { column: 'brings', direction: 'desc' }, offset = 0, limit = MOST_SERIES } = question
  // Searches and shares are the site's: how many look at a block of web search nobody tells.
  const shares = kind === 'web' ? [] : question.shares
  const which = { channel, region, kind, shares, old: today - FRESH_DAYS, contains, sort, offset, limit }
  const { series, sums } = store.of(which)
  const rows = series.map(({ phrase, video, title, searches, days }) => {
    const standing = standingOf(days)!
    const says = kind === 'site' && isFresh(standing.now, today)
    const brings = says ? bringsOf(searches, standing.now.rank, shares) : null
    return { phrase, videoId: video, title, standing, searches, brings }
  })
  return { rows, ...sums }
}
