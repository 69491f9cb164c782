import type { Statement } from 'better-sqlite3'
import { TOLERANCE, type RankDay } from '../../core/ranks/standing'
import type { Shares } from '../../core/rivals/winnings'
import type { ChannelRankSort } from '../../shared/ranks'
import type { Db } from './open'
import type { PageKind } from './results'

/** A video of a channel that was looked up for a phrase. */
export interface ChannelSeries {
  video: string
  title: string
  phrase: string
  /** Searches a month in the region; `null` where they are not known. */
  searches: number | null
  /** The days its standing is told from, oldest first: the last, those a week and four weeks before, the best. */
  days: RankDay[]
}

/** Which ranks of a channel, and what is shown of them. */
export interface SeriesQuestion {
  channel: string
  region: string
  kind: PageKind
  /** The part of searches that looks at each rank; none where nobody tells how many do. */
  shares: Shares
  /** A rank of this day or an earlier one says nothing of today. */
  old: number
  /** Text that the phrase or the title holds, in any case. */
  contains: string
  sort: ChannelRankSort
  limit: number
  offset: number
}
/** All that are found, and what those that say something of today bring together. */
export interface SeriesSums {
  total: number
  /** Whether more are kept than are looked through. */
  more: boolean
  fresh: { rows: number; brings: number }
}

/** A day with its rank and depth as one number: 24 bits for rank and depth, the day above them. */
const TOLD = '(day << 24) | (coalesce(rank, 0) << 12) | depth'
const dayOf = (told: number): RankDay => ({
  day: Math.floor(told / 2 ** 24),
  rank: Math.floor(told / 2 ** 12) % 2 ** 12 || null,
  depth: told % 2 ** 12,
})
/** Tells a series anew how it stands, when a day of it was kept. */
export function standAgain(db: Db): (series: number) => void {
  const day = (which: string, by = 'day DESC') =>
    `(SELECT ${TOLD} FROM rank_day WHERE series_id = @id AND ${which} ORDER BY ${by} LIMIT 1)`
  const about = (ago: keyof typeof TOLERANCE) =>
    day(`day BETWEEN (told_last >> 24) - ${ago + TOLERANCE[ago]} AND (told_last >> 24) - ${ago}`)
  const last = db.prepare(
    `UPDATE rank_series SET told_last = ${day('true')}, told_best = ${day('rank IS NOT NULL', 'rank, day')}
      WHERE id = @id`,
  )
  const before = db.prepare(`UPDATE rank_series SET told_week = ${about(7)}, told_month = ${about(28)} WHERE id = @id`)
  return id => {
    last.run({ id })
    before.run({ id })
  }
}

type SumsRow = [total: number, rows: number | null, brings: number | null, more: number]
type SeriesRow = [
  ...SumsRow,
  video: string | null,
  title: string,
  phrase: string,
  searches: number | null,
  last: number,
  week: number | null,
  month: number | null,
  best: number | null,
]

/** Days in their order, each once. @param best lies anywhere among the others. */
function daysOf(last: number, week: number | null, month: number | null, best: number | null): RankDay[] {
  const told: number[] = []
  if (month !== null) told.push(month)
  if (week !== null) told.push(week)
  told.push(last)
  if (best !== null && !told.includes(best)) {
    const later = told.findIndex(each => each > best)
    told.splice(later, 0, best)
  }
  return told.map(dayOf)
}

const rankIn = (told: string) => `nullif((${told} >> 12) & 4095, 0)`
/** What series are ordered by. */
const KEYS: Record<ChannelRankSort['column'], string> = {
  phrase: 'phrase',
  title: 'lowered(title)',
  seen: 'day',
  now: 'place',
  best: rankIn('told_best'),
  week: `${rankIn('told_week')} - place`,
  month: `${rankIn('told_month')} - place`,
  searches: 'searches',
  brings: 'brings',
  // The first place has none above it.
  more: 'CASE WHEN place > 1 AND brings IS NOT NULL THEN searches * (coalesce(above, 0) - coalesce(share, 0)) END',
}
/** So many are looked through, those of the newest videos: others wait while it is done. */
export const MOST_SERIES = 10_000
const OF_CHANNEL = `FROM video v JOIN rank_series s ON s.video = v.code
  WHERE v.channel_id = @channel AND s.region = @region AND s.kind = @kind AND told_last IS NOT NULL`
/**
 * The series of a channel with what each brings, its searches × the share of its rank, and what all of them come to.
 * Thousands are ordered and added up where they are, as numbers; words are read of those that are shown.
 * @param worded whether phrases are searched or ordered by.
 */
const asked = (key: string, direction: ChannelRankSort['direction'], worded: boolean) => `WITH share AS MATERIALIZED (
    SELECT key + 1 AS rank, value AS part, lag(value) OVER (ORDER BY key) AS part_above FROM json_each(@shares)
  ), newest AS (
    SELECT s.id, s.phrase_id, s.region, v.title, v.published_at, told_last, told_week, told_month, told_best
      ${OF_CHANNEL} ORDER BY v.published_at DESC LIMIT ${MOST_SERIES}
  ), series AS MATERIALIZED (
    SELECT newest.*, told_last >> 24 AS day, ${rankIn('told_last')} AS place ${worded ? ', p.text AS phrase' : ''},
        (SELECT volume FROM figure f
          WHERE f.phrase_id = newest.phrase_id AND f.region = newest.region AND f.counts = 1) AS searches
      FROM newest
      ${worded ? "JOIN phrase p ON p.id = phrase_id WHERE instr(lowered(p.text || ' ' || title), @contains)" : ''}
  ), weighed AS (
    SELECT series.*, part AS share, part_above AS above,
        CASE WHEN day > @old AND place IS NOT NULL AND @shares <> '[]'
          THEN searches * coalesce(part, 0) END AS brings
      FROM series LEFT JOIN share ON share.rank = series.place
  ), numbers AS MATERIALIZED (
    SELECT id, published_at, day, searches, brings, ${key} AS key FROM weighed
  ), sums AS (
    SELECT count(*), sum(day > @old), sum(brings), EXISTS (SELECT 1 ${OF_CHANNEL} LIMIT 1 OFFSET ${MOST_SERIES})
      FROM numbers
  ), shown AS (
    SELECT * FROM numbers ORDER BY key ${direction} NULLS LAST, published_at DESC, id LIMIT @limit OFFSET @offset
  )
  SELECT sums.*, s.video, v.title, p.text, searches, told_last, told_week, told_month, told_best
    FROM sums LEFT JOIN (
      shown JOIN rank_series s ON s.id = shown.id JOIN video v ON v.code = s.video JOIN phrase p ON p.id = s.phrase_id
    ) ON true
    ORDER BY key ${direction} NULLS LAST, shown.published_at DESC, shown.id`

export type ChannelSeriesStore = ReturnType<typeof channelSeriesStore>

/** The ranks of all videos of a channel, as few days of each as its standing takes. */
export function channelSeriesStore(db: Db) {
  db.function('lowered', { deterministic: true }, (text: string) => text.toLowerCase())
  type Bound = Record<'channel' | 'region' | 'kind' | 'shares' | 'contains', string> &
    Record<'old' | 'limit' | 'offset', number>
  const prepared = new Map<string, Statement<[Bound], SeriesRow>>()
  const inOrder = ({ column, direction }: ChannelRankSort, worded: boolean) => {
    const order = `${column}:${direction}:${worded}`
    const known = prepared.get(order)
    if (known) return known
    const made = db.prepare<[Bound], SeriesRow>(asked(KEYS[column], direction, worded)).raw()
    prepared.set(order, made)
    return made
  }
  return {
    /**
     * Those asked for, in their order, and what all come to. What is not known comes last, those alike by the newest
     * videos, and of one video as they were first looked up.
     */
    of({ sort, shares, contains, ...which }: SeriesQuestion): { series: ChannelSeries[]; sums: SeriesSums } {
      const text = contains.trim().toLowerCase()
      const found = inOrder(sort, !!text || sort.column === 'phrase').all({
        ...which,
        contains: text,
        // The seat behind the last one that is looked at has one above it, too.
        shares: JSON.stringify(shares.length ? [...shares, 0] : []),
      })
      const [total, rows, brings, more] = found[0]!
      // What all come to is told where none is shown, too: by a row without a video.
      const series = found.flatMap(([, , , , video, title, phrase, searches, last, week, month, best]) =>
        video === null ? [] : { video, title, phrase, searches, days: daysOf(last, week, month, best) },
      )
      return { series, sums: { total, more: more === 1, fresh: { rows: rows ?? 0, brings: brings ?? 0 } } }
    },
  }
}
