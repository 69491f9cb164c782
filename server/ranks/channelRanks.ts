import { bringsOf } from '../../core/ranks/brings'
import { isFresh, standingOf, type RankDay } from '../../core/ranks/standing'
import type { Shares } from '../../core/rivals/winnings'
import type { ChannelRankRow, ChannelRanksAnswer } from '../../shared/ranks'
import { MOST_SERIES, type ChannelSeries, type ChannelSeriesStore } from '../data/channelSeries'
import type { PageKind } from '../data/results'

/** Worked out in one go; other requests have their turn in between. */
const BATCH = 500
const EVER = Number.MAX_SAFE_INTEGER

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
  for (let from = 0; from < Math.min(series.length, MOST_SERIES); from += BATCH) {
    for (const each of series.slice(from, Math.min(from + BATCH, MOST_SERIES))) {
      const standing = standingOf(fewDays(store, each))
      if (!standing) continue
      const { phrase, video, title, searches } = each
      // Searches and shares are the site's: how many look at a block of web search nobody tells.
      const brings =
        kind === 'web' || !isFresh(standing.now, today) ? null : bringsOf(searches, standing.now.rank, shares)
      rows.push({ phrase, videoId: video, title, standing, searches, brings })
    }
    await new Promise(resolve => setImmediate(resolve))
  }
  rows.sort((a, b) => (b.brings?.now ?? -1) - (a.brings?.now ?? -1))
  return { rows, more: series.length > MOST_SERIES }
}

/** The days that a standing is told from: the best, those about a month and a week before, and the last. */
function fewDays(store: ChannelSeriesStore, { id, bestRank, bestDay }: ChannelSeries): RankDay[] {
  const last = store.lastBy(id, EVER)
  if (!last) return []
  const days = new Map([[last.day, last]])
  for (const ago of [7, 28]) {
    const day = store.lastBy(id, last.day - ago)
    if (day) days.set(day.day, day)
  }
  if (bestDay !== null && bestRank !== null && !days.has(bestDay))
    days.set(bestDay, store.lastBy(id, bestDay) ?? { day: bestDay, rank: bestRank, depth: bestRank })
  return [...days.values()].sort((a, b) => a.day - b.day)
}
