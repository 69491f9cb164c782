import { setImmediate as nextTurn } from 'node:timers/promises'
import { bringsOf } from '../../core/ranks/brings'
import { isFresh, standingOf } from '../../core/ranks/standing'
import type { Shares } from '../../core/rivals/winnings'
import type { ChannelRankRow, ChannelRanksAnswer } from '../../shared/ranks'
import { MOST_SERIES, type ChannelSeriesStore } from '../data/channelSeries'
import type { PageKind } from '../data/results'

/** Worked out in one go; other requests have their turn in between. */
const BATCH = 500

/**
 * Where all videos of a channel stand for what they were looked up for, in one region: what brings most first.
 * @param shares the part of searches that looks at each rank. @param today days since 1970.
 */
export async function channelRanks(
  store: ChannelSeriesStore,
  {
    channel,
    region,
    kind,
    shares,
    today,
  }: { channel: string; region: string; kind: PageKind; shares: Shares; today: number },
): Promise<ChannelRanksAnswer> {
  const series = store.of(channel, region, kind)
  const rows: ChannelRankRow[] = []
  for (const [i, { phrase, video, title, searches, days }] of series.slice(0, MOST_SERIES).entries()) {
    if (i % BATCH === 0) await nextTurn()
    const standing = standingOf(days)
    if (!standing) continue
    // Searches and shares are the site's: how many look at a block of web search nobody tells.
    const brings =
      kind === 'web' || !isFresh(standing.now, today) ? null : bringsOf(searches, standing.now.rank, shares)
    rows.push({ phrase, videoId: video, title, standing, searches, brings })
  }
  rows.sort((a, b) => (b.brings?.now ?? -1) - (a.brings?.now ?? -1))
  return { rows, more: series.length > MOST_SERIES }
}
