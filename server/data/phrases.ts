import { trend, type Trend } from '../../core/demand/trend'
import { meanVolume, yearChange, type Months } from '../../core/demand/volume'
import { LEAST_CAP } from '../../core/demand/worth'
import { phraseKey, wordCount, words } from '../../core/text/words'
import { packMonth, packMonths, unpackMonth, unpackMonths } from './months'
import type { Db } from './open'

/** Bits that say which sources suggest a phrase. */
export const VIA = { video: 1, web: 2 } as const

/** A figure as somebody told it. Region '' is everywhere; what is absent is unknown. */
export interface ToldFigure {
  phrase: string
  region: string
  volume?: number | null
  months?: Months
  /** The last of the months, `yyyy-mm`. */
  monthsEnd?: string
  change?: number | null
  competition?: number | null
  advertiser?: number | null
}

export interface Teller { name: string, kind: 'service' | 'import' }

/** What is known of a phrase in a region: each figure of the source that counts there, the rest `null`. */
export interface KnownPhrase {
  id: number
  text: string
  words: number
  via: number
  volume: number | null
  volumeAll: number | null
  change: number | null
  /** As an import tells it; the site's own count is `titleMatches`. */
  competition: number | null
  trend: Pick<Trend, 'direction' | 'yearly'> | null
  difficulty: number | null
  titleMatches: number | null
  videoBlock: number | null
}

interface KnownRow extends Omit<KnownPhrase, 'trend'> { direction: Trend['direction'] | null, yearly: number | null }
interface FigureRow { source_id: number, at: number, volume: number | null, change: number | null, competition: number | null, advertiser: number | null }

/** A cap is worked out anew when this part more volumes are known, or after a day. */
const CAP_GROWTH = 1.1
const CAP_AGE_MS = 86_400_000
/** Services stand behind what a person imported, unless the person orders them otherwise. */
const SERVICE_PLACE = 1_000_000

const KNOWN = `p.id, p.text, p.words, p.via, f.volume, a.volume AS volumeAll, coalesce(f.change, m.change) AS change, f.competition, m.trend_direction AS direction, m.trend_yearly AS yearly,
  g.difficulty, g.title_matches AS titleMatches, g.video_block AS videoBlock`
const JOINS = `LEFT JOIN figure f ON f.phrase_id = p.id AND f.region = @region AND f.counts = 1
  LEFT JOIN figure m ON m.phrase_id = p.id AND m.region = @region AND m.drawn = 1
  LEFT JOIN figure a ON a.phrase_id = p.id AND a.region = '' AND a.counts = 1
  LEFT JOIN standing_page g ON g.phrase_id = p.id AND g.region = @region`

const toKnown = ({ direction, yearly, ...rest }: KnownRow): KnownPhrase => ({ ...rest, trend: direction === null ? null : { direction, yearly: yearly! } })

export type PhraseStore = ReturnType<typeof phraseStore>

/**
 * Phrases, what each source told of them, and the seeds looked up.
 *
 * @param now the clock, in UTC milliseconds; tests pass their own.
 */
export function phraseStore(db: Db, now: () => number = Date.now) {
  const idOf = db.prepare<[string, string], { id: number }>('SELECT id FROM phrase WHERE language = ? AND text = ?')
  const addPhrase = db.prepare('INSERT INTO phrase (language, text, words) VALUES (?, ?, ?)')
  const addWords = db.prepare('INSERT INTO phrase_words (rowid, text) VALUES (?, ?)')
  const sourceRow = db.prepare<[string], { id: number }>('SELECT id FROM source WHERE name = ?')
  const addSource = db.prepare(`INSERT INTO source (name, kind, place)
    SELECT @name, @kind, CASE @kind WHEN 'service' THEN ${SERVICE_PLACE} ELSE coalesce(min(place), ${SERVICE_PLACE}) - 1 END FROM source`)
  const figureRows = db.prepare<[number, string], FigureRow>('SELECT source_id, at, volume, change, competition, advertiser FROM figure WHERE phrase_id = ? AND region = ?')
  const putFigure = db.prepare(`INSERT INTO figure (phrase_id, region, source_id, counts, drawn, at, volume, change, competition, advertiser, months, months_end, trend_direction, trend_yearly)
    VALUES (@phraseId, @region, @sourceId, @counts, @drawn, @at, @volume, @change, @competition, @advertiser, @months, @monthsEnd, @direction, @yearly)
    ON CONFLICT (phrase_id, region, source_id) DO UPDATE SET at = excluded.at, volume = excluded.volume, change = excluded.change, competition = excluded.competition,
      advertiser = excluded.advertiser, months = excluded.months, months_end = excluded.months_end, trend_direction = excluded.trend_direction, trend_yearly = excluded.trend_yearly`)
  const keepPast = db.prepare('INSERT OR IGNORE INTO figure_past VALUES (?, ?, ?, ?, ?, ?, ?, ?)')
  const firstBy = (unknown: string) => `source_id = (
      SELECT f.source_id FROM figure f JOIN source s ON s.id = f.source_id WHERE f.phrase_id = @phraseId AND f.region = @region ORDER BY f.${unknown} IS NULL, s.place LIMIT 1)`
  const choose = db.prepare(`UPDATE figure SET counts = ${firstBy('volume')}, drawn = ${firstBy('months')}
    WHERE phrase_id = @phraseId AND region = @region`)
  const known = db.prepare<{ language: string, text: string, region: string }, KnownRow>(`SELECT ${KNOWN} FROM phrase p ${JOINS} WHERE p.language = @language AND p.text = @text`)
  const forLook = db.prepare<{ look: number, language: string, holding: string, region: string }, KnownRow>(`
    SELECT ${KNOWN} FROM (SELECT phrase_id AS id FROM look_phrase WHERE look_id = @look UNION SELECT rowid FROM phrase_words WHERE phrase_words MATCH @holding) ids
    JOIN phrase p ON p.id = ids.id ${JOINS} WHERE p.language = @language`)
  const historyRow = db.prepare<{ id: number, region: string }, { months: Buffer | null, months_end: number | null, name: string, at: number }>(`
    SELECT m.months, m.months_end, s.name, f.at FROM figure f JOIN source s ON s.id = f.source_id
    LEFT JOIN figure m ON m.phrase_id = f.phrase_id AND m.region = f.region AND m.drawn = 1 WHERE f.phrase_id = @id AND f.region = @region AND f.counts = 1`)
  const told = db.prepare<{ language: string, text: string }, { region: string, source: string, volume: number | null, at: number }>(`
    SELECT f.region, s.name AS source, f.volume, f.at FROM phrase p JOIN figure f ON f.phrase_id = p.id JOIN source s ON s.id = f.source_id
    WHERE p.language = @language AND p.text = @text ORDER BY f.region = '', f.region, s.place`)
  const capRow = db.prepare<[string], { cap: number, known: number, at: number }>('SELECT cap, known, at FROM volume_cap WHERE region = ?')
  const countVolumes = db.prepare<[string], { n: number }>('SELECT count(*) AS n FROM figure WHERE region = ? AND counts = 1 AND volume IS NOT NULL')
  const volumeAt = db.prepare<[string, number], { volume: number }>('SELECT volume FROM figure WHERE region = ? AND counts = 1 AND volume IS NOT NULL ORDER BY volume DESC LIMIT 1 OFFSET ?')
  const putCap = db.prepare('INSERT OR REPLACE INTO volume_cap (region, cap, known, at) VALUES (?, ?, ?, ?)')
  const lookRow = db.prepare<[string, string, string], { id: number, at: number, missing: string }>('SELECT id, at, missing FROM look WHERE language = ? AND region = ? AND seed = ?')
  const putLook = db.prepare<[string, string, string, number, string], { id: number }>(`INSERT INTO look (language, region, seed, at, missing) VALUES (?, ?, ?, ?, ?)
    ON CONFLICT (language, region, seed) DO UPDATE SET at = excluded.at, missing = excluded.missing RETURNING id`)
  const dropLookPhrases = db.prepare('DELETE FROM look_phrase WHERE look_id = ?')
  const addLookPhrase = db.prepare('INSERT OR IGNORE INTO look_phrase (look_id, phrase_id) VALUES (?, ?)')
  const setVia = db.prepare('UPDATE phrase SET via = via | ?, via_at = ? WHERE id = ?')

  /** Regions whose cap may have changed since it was worked out. */
  let capsDue = true

  function phraseId(phrase: string, language: string): number {
    const text = phraseKey(phrase)
    const found = idOf.get(language, text)
    if (found) return found.id
    const id = Number(addPhrase.run(language, text, wordCount(text)).lastInsertRowid)
    addWords.run(id, text)
    return id
  }

  function sourceId(teller: Teller): number {
    return sourceRow.get(teller.name)?.id ?? Number(addSource.run(teller).lastInsertRowid)
  }

  const save = db.transaction((figures: readonly ToldFigure[], language: string, teller: Teller, at: number): { accepted: number, updated: number } => {
    const source = sourceId(teller)
    let updated = 0
    for (const figure of figures) {
      const id = phraseId(figure.phrase, language)
      const { region, months } = figure
      const others = figureRows.all(id, region)
      const before = others.find(other => other.source_id === source)
      const direction = months ? trend(months) : null
      const next = {
        volume: figure.volume ?? (months ? meanVolume(months) : null),
        change: figure.change ?? (months ? yearChange(months) : null),
        competition: figure.competition ?? null,
        advertiser: figure.advertiser ?? null,
      }
      if (before) {
        updated++
        const same = before.volume === next.volume && before.change === next.change && before.competition === next.competition && before.advertiser === next.advertiser
        if (!same) keepPast.run(id, region, source, before.at, before.volume, before.change, before.competition, before.advertiser)
      }
      putFigure.run({
        phraseId: id, region, sourceId: source, counts: others.length ? 0 : 1, drawn: others.length ? 0 : 1, at, ...next,
        months: months?.length ? packMonths(months) : null, monthsEnd: figure.monthsEnd ? packMonth(figure.monthsEnd) : null,
        direction: direction?.direction ?? null, yearly: direction?.yearly ?? null,
      })
      if (others.length) choose.run({ phraseId: id, region })
    }
    return { accepted: figures.length - updated, updated }
  })

  const saveVia = db.transaction((list: readonly string[], language: string, via: keyof typeof VIA, at: number) => {
    for (const phrase of list) setVia.run(VIA[via], at, phraseId(phrase, language))
  })

  const saveLook = db.transaction((seed: string, region: string, language: string, list: readonly string[], missing: readonly string[], at: number): number => {
    const { id } = putLook.get(language, region, phraseKey(seed), at, JSON.stringify(missing))!
    dropLookPhrases.run(id)
    for (const phrase of list) addLookPhrase.run(id, phraseId(phrase, language))
    return id
  })

  return {
    /** The id of a phrase, made when it is new. */
    phraseId,
    /**
     * Keeps what a source told, in one transaction: 2,000 figures at most, so that no autosave
     * waits long. What the same source told before is kept as past.
     * @returns how many figures are new and how many replace one of the same source.
     */
    save: (figures: readonly ToldFigure[], language: string, teller: Teller, at: number) => save.immediate(figures, language, teller, at),
    /** Notes that a source suggests these phrases. */
    saveVia: (list: readonly string[], language: string, via: keyof typeof VIA, at: number) => { saveVia.immediate(list, language, via, at) },
    /** Keeps which phrases belong to a seed. @returns the look's id. */
    saveLook: (seed: string, region: string, language: string, list: readonly string[], missing: readonly string[], at: number) => saveLook.immediate(seed, region, language, list, missing, at),
    /** The last look at a seed, or `null`. */
    look(seed: string, region: string, language: string): { id: number, at: number, missing: string[] } | null {
      const found = lookRow.get(language, region, phraseKey(seed))
      return found ? { id: found.id, at: found.at, missing: JSON.parse(found.missing) as string[] } : null
    },
    /** What is known of a phrase in a region ('' everywhere); `null` for one never heard of. */
    known(phrase: string, region: string, language: string): KnownPhrase | null {
      const found = known.get({ language, text: phraseKey(phrase), region })
      return found ? toKnown(found) : null
    },
    /** The phrases of a look, and all others that hold every word of the seed, in no order. */
    forSeed(seed: string, region: string, language: string, lookId: number | null): KnownPhrase[] {
      const holding = words(seed).map(word => `"${word.norm.replaceAll('"', '')}"`).join(' AND ')
      return forLook.all({ look: lookId ?? -1, language, holding: holding || '""', region }).map(toKnown)
    },
    /** The months of a phrase in a region, with the source whose volume counts there and when it told. */
    originOf({ id }: Pick<KnownPhrase, 'id'>, region: string): { months: (number | null)[], monthsEnd: string | null, source: string | null, at: number | null } {
      const found = historyRow.get({ id, region })
      return {
        months: found?.months ? unpackMonths(found.months) : [],
        monthsEnd: found?.months_end ? unpackMonth(found.months_end) : null,
        source: found?.name ?? null,
        at: found?.at ?? null,
      }
    },
    /** Every source's figure of a phrase, its regions before everywhere, in the order sources are believed. */
    figuresOf: (phrase: string, language: string) => told.all({ language, text: phraseKey(phrase) }),
    /** Says that figures came in, so that caps are looked at again. */
    capDue: () => { capsDue = true },
    /** The cap on volume in a region: the 99.9th percentile of known volumes, at least `LEAST_CAP`, and when it was worked out. */
    cap(region: string): { cap: number, at: number } {
      const kept = capRow.get(region)
      if (kept && !capsDue && now() - kept.at < CAP_AGE_MS) return kept
      capsDue = false
      const { n } = countVolumes.get(region)!
      if (kept && n <= kept.known * CAP_GROWTH && now() - kept.at < CAP_AGE_MS) return kept
      const made = { cap: LEAST_CAP, at: now() }
      if (n) made.cap = Math.max(LEAST_CAP, volumeAt.get(region, n - Math.ceil(n * 0.999))!.volume)
      putCap.run(region, made.cap, n, made.at)
      return made
    },
  }
}
