import type { Intent } from '../../core/demand/intentNames'
import type { Trend } from '../../core/demand/trend'
import { phraseKey } from '../../core/text/words'
import { EFFECTIVE_PAGE } from './effectivePage'
import { unpackMonth, unpackMonths } from './months'
import type { Db } from './open'
import { unpackStrengths } from './strengths'

/** What is known of a phrase in a region: each figure of the source that counts there, the rest `null`. */
export interface KnownPhrase {
  id: number
  text: string
  words: number
  via: number
  volume: number | null
  volumeAll: number | null
  change: number | null
  /** From an import; the site's own count is `titleMatches`. */
  competition: number | null
  trend: Pick<Trend, 'direction' | 'yearly'> | null
  difficulty: number | null
  titleMatches: number | null
  videoBlock: number | null
  advertiser: number | null
  seasonStrength: number | null
  /** Twelve bits, January the lowest. */
  seasonPeaks: number | null
  spiked: number | null
  intent: Intent | null
  /** Strengths on the page that stands for it, by rank, and whether the site has more results. */
  strengths: number[] | null
  more: boolean
  /** What that page asks of a new video by what was learnt; `null` where nothing is. */
  hurdle: number | null
  /** How many results were read of that page. */
  results: number | null
  /** The more searched spelling whose difficulty, chance and competition it takes. */
  readAs: string | null
}

const KNOWN = `p.id, p.text, p.words, p.via, f.volume, a.volume AS volumeAll, coalesce(f.change, f.months_change) AS change,
  f.competition, f.trend_direction AS direction, f.trend_yearly AS yearly, ${EFFECTIVE_PAGE.difficulty}, ${EFFECTIVE_PAGE.titleMatches},
  g.video_block AS videoBlock, f.advertiser, f.season_strength, f.season_peaks, f.spiked, g.intent, ${EFFECTIVE_PAGE.strengths},
  ${EFFECTIVE_PAGE.more}, length(g.strengths) / 4 AS results, (SELECT text FROM phrase WHERE id = g.read_as) AS readAs,
  ${EFFECTIVE_PAGE.hurdle}`
const JOINS = `LEFT JOIN figure f ON f.phrase_id = p.id AND f.region = @region AND f.counts = 1
  LEFT JOIN figure a ON a.phrase_id = p.id AND a.region = '' AND a.counts = 1
  LEFT JOIN standing_page g ON g.phrase_id = p.id AND g.region = @region ${EFFECTIVE_PAGE.join}`

/** A row of `KNOWN` as read raw: with thousands of rows, naming each column twice is most of the cost. */
// prettier-ignore
type KnownRow = [
  id: number, text: string, words: number, via: number, volume: number | null, volumeAll: number | null,
  change: number | null, competition: number | null, direction: Trend['direction'] | null, yearly: number | null,
  difficulty: number | null, titleMatches: number | null, videoBlock: number | null, advertiser: number | null,
  seasonStrength: number | null, seasonPeaks: number | null, spiked: number | null, intent: Intent | null,
  strengths: Buffer | null, more: number | null, results: number | null, readAs: string | null,
  hurdle: number | null,
]
const KNOWN_COLUMNS = 23

// prettier-ignore
const toKnown = ([
  id, text, words, via, volume, volumeAll, change, competition, direction, yearly, difficulty, titleMatches, videoBlock,
  advertiser, seasonStrength, seasonPeaks, spiked, intent, strengths, more, results, readAs, hurdle,
]: KnownRow): KnownPhrase => ({
  id, text, words, via, volume, volumeAll, change, competition, difficulty, titleMatches, videoBlock, advertiser,
  seasonStrength, seasonPeaks, spiked, intent, results, readAs, hurdle,
  trend: direction === null ? null : { direction, yearly: yearly! },
  strengths: strengths && unpackStrengths(strengths),
  more: more === 1,
})

/** The months of a phrase in a region, with the source whose volume counts there and its date. */
export interface Origin {
  months: (number | null)[]
  monthsEnd: string | null
  source: string | null
  at: number | null
}
const ORIGIN = 'h.months, h.months_end, s.name, f.at'
type OriginRow = [Buffer | null, number | null, string | null, number | null]
const toOrigin = ([months, monthsEnd, source, at]: OriginRow): Origin => ({
  months: months ? unpackMonths(months) : [],
  monthsEnd: monthsEnd === null ? null : unpackMonth(monthsEnd),
  source,
  at,
})

/** Reads what is known of phrases. */
export function knownPhrases(db: Db) {
  const known = db
    .prepare<{ language: string; text: string; region: string }, KnownRow>(
      `SELECT ${KNOWN} FROM phrase p ${JOINS} WHERE p.language = @language AND p.text = @text`,
    )
    .raw()
  // One statement for all: what a call costs by itself is more than half of a row.
  const rowsById = db
    .prepare<{ ids: string; region: string }, [...KnownRow, ...OriginRow]>(
      `SELECT ${KNOWN.replace(EFFECTIVE_PAGE.strengths, 'NULL')}, ${ORIGIN} FROM json_each(@ids) j
        CROSS JOIN phrase p ON p.id = j.value ${JOINS}
    LEFT JOIN source s ON s.id = f.source_id LEFT JOIN history h ON h.phrase_id = f.phrase_id AND h.region = f.region
    AND h.source_id = f.months_source ORDER BY j.key`,
    )
    .raw()
  const textsById = db
    .prepare<[string], [text: string]>(
      'SELECT p.text FROM json_each(?) j CROSS JOIN phrase p ON p.id = j.value ORDER BY j.key',
    )
    .raw()
  const originRow = db
    .prepare<[number, string], OriginRow>(
      `SELECT ${ORIGIN} FROM figure f JOIN source s ON s.id = f.source_id
    LEFT JOIN history h ON h.phrase_id = f.phrase_id AND h.region = f.region AND h.source_id = f.months_source
    WHERE f.phrase_id = ? AND f.region = ? AND f.counts = 1`,
    )
    .raw()
  const figures = db.prepare<
    { language: string; text: string },
    { region: string; source: string; volume: number | null; at: number }
  >(`
    SELECT f.region, s.name AS source, f.volume, f.at FROM phrase p JOIN figure f ON f.phrase_id = p.id
    JOIN source s ON s.id = f.source_id
    WHERE p.language = @language AND p.text = @text ORDER BY f.region = '', f.region, s.place`)

  return {
    /** What is known of a phrase in a region ('' everywhere); `null` for one never heard of. */
    known(phrase: string, region: string, language: string): KnownPhrase | null {
      const found = known.get({ language, text: phraseKey(phrase), region })
      return found ? toKnown(found) : null
    },
    /**
     * The same of many by their ids, in their order, without the strengths of their pages; and where their volumes come
     * from.
     */
    rowsById: (ids: readonly number[], region: string): { known: KnownPhrase; origin: Origin }[] =>
      rowsById.all({ ids: JSON.stringify(ids), region }).map(found => ({
        known: toKnown(found as unknown as KnownRow),
        origin: toOrigin(found.slice(KNOWN_COLUMNS) as OriginRow),
      })),
    textsById: (ids: readonly number[]): string[] => textsById.all(JSON.stringify(ids)).map(([text]) => text),
    /** The months of a phrase in a region, with the source whose volume counts there and its date. */
    originOf: ({ id }: Pick<KnownPhrase, 'id'>, region: string): Origin =>
      toOrigin(originRow.get(id, region) ?? [null, null, null, null]),
    /** Every source's figure of a phrase, its regions before everywhere, in the order sources are believed. */
    figuresOf: (phrase: string, language: string) => figures.all({ language, text: phraseKey(phrase) }),
  }
}
