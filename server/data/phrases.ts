import { trend, type Trend } from '../../core/demand/trend'
import { meanVolume, yearChange, type Months } from '../../core/demand/volume'
import { LEAST_CAP } from '../../core/demand/worth'
import { phraseKey, wordCount, words } from '../../core/text/words'
import { packMonth, packMonths, unpackMonth, unpackMonths } from './months'
import { relaxedTransaction, type Db } from './open'

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

interface FigureRow { source_id: number, at: number, volume: number | null, change: number | null, competition: number | null, advertiser: number | null }

/** A cap is worked out anew when this part more volumes are known, or after a day. */
const CAP_GROWTH = 1.1
const CAP_AGE_MS = 86_400_000
/** Services stand behind what a person imported, unless the person orders them otherwise. */
const SERVICE_PLACE = 1_000_000

const KNOWN = `p.id, p.text, p.words, p.via, f.volume, a.volume AS volumeAll, coalesce(f.change, f.months_change) AS change, f.competition, f.trend_direction AS direction, f.trend_yearly AS yearly,
  g.difficulty, g.title_matches AS titleMatches, g.video_block AS videoBlock`
const JOINS = `LEFT JOIN figure f ON f.phrase_id = p.id AND f.region = @region AND f.counts = 1
  LEFT JOIN figure a ON a.phrase_id = p.id AND a.region = '' AND a.counts = 1
  LEFT JOIN standing_page g ON g.phrase_id = p.id AND g.region = @region`

/** A row of `KNOWN` as read raw: with thousands of rows, naming each column twice is most of the cost. */
type KnownRow = [number, string, number, number, number | null, number | null, number | null, number | null, Trend['direction'] | null, number | null, number | null, number | null, number | null]
const toKnown = ([id, text, words, via, volume, volumeAll, change, competition, direction, yearly, difficulty, titleMatches, videoBlock]: KnownRow): KnownPhrase => ({
  id, text, words, via, volume, volumeAll, change, competition, trend: direction === null ? null : { direction, yearly: yearly! }, difficulty, titleMatches, videoBlock,
})

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
  const settle = db.prepare('UPDATE source SET place = place WHERE name = ?')
  const figureRows = db.prepare<[number, string], FigureRow>('SELECT source_id, at, volume, change, competition, advertiser FROM figure WHERE phrase_id = ? AND region = ?')
  // Two statements rather than one upsert, which takes four times as long a row.
  const addFigure = db.prepare(`INSERT INTO figure (phrase_id, region, source_id, counts, at, volume, change, competition, advertiser, months_source, months_change, trend_direction, trend_yearly)
    VALUES (?, ?, ?, 1, ?, ?, ?, ?, ?, ?, ?, ?, ?)`)
  const setFigure = db.prepare(`UPDATE figure SET at = ?, volume = ?, change = ?, competition = ?, advertiser = ?, months_source = ?, months_change = ?, trend_direction = ?, trend_yearly = ?
    WHERE phrase_id = ? AND region = ? AND source_id = ?`)
  const putHistory = db.prepare('INSERT OR REPLACE INTO history VALUES (@phraseId, @region, @sourceId, @months, @monthsEnd, @monthsChange, @direction, @yearly)')
  const keepPast = db.prepare('INSERT OR IGNORE INTO figure_past VALUES (?, ?, ?, ?, ?, ?, ?, ?)')
  const choose = db.prepare(`UPDATE figure SET counts = source_id = (
      SELECT f.source_id FROM figure f JOIN source s ON s.id = f.source_id WHERE f.phrase_id = @phraseId AND f.region = @region ORDER BY f.volume IS NULL, s.place LIMIT 1)
    WHERE phrase_id = @phraseId AND region = @region`)
  const chooseMonths = db.prepare(`UPDATE figure SET (months_source, months_change, trend_direction, trend_yearly) = (
      SELECT h.source_id, h.change, h.trend_direction, h.trend_yearly FROM history h JOIN source s ON s.id = h.source_id
      WHERE h.phrase_id = @phraseId AND h.region = @region ORDER BY s.place LIMIT 1)
    WHERE phrase_id = @phraseId AND region = @region AND counts = 1`)
  const known = db.prepare<{ language: string, text: string, region: string }, KnownRow>(`SELECT ${KNOWN} FROM phrase p ${JOINS} WHERE p.language = @language AND p.text = @text`).raw()
  const forLook = db.prepare<{ look: number, language: string, holding: string, region: string }, KnownRow>(`
    SELECT ${KNOWN} FROM (SELECT phrase_id AS id FROM look_phrase WHERE look_id = @look UNION SELECT rowid FROM phrase_words WHERE phrase_words MATCH @holding) ids
    JOIN phrase p ON p.id = ids.id ${JOINS} WHERE +p.language = @language`).raw()
  const historyRow = db.prepare<[number, string], [Buffer | null, number | null, string, number]>(`
    SELECT h.months, h.months_end, s.name, f.at FROM figure f JOIN source s ON s.id = f.source_id
    LEFT JOIN history h ON h.phrase_id = f.phrase_id AND h.region = f.region AND h.source_id = f.months_source WHERE f.phrase_id = ? AND f.region = ? AND f.counts = 1`).raw()
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

  const save = relaxedTransaction(db, (figures: readonly ToldFigure[], language: string, teller: Teller, at: number): { accepted: number, updated: number } => {
    const source = sourceId(teller)
    let updated = 0
    for (const figure of figures) {
      const id = phraseId(figure.phrase, language)
      const { region, months } = figure
      const others = figureRows.all(id, region)
      const before = others.find(other => other.source_id === source)
      const found = months?.length ? trend(months) : null
      const monthsChange = months?.length ? yearChange(months) : null
      const next = { volume: figure.volume ?? (months ? meanVolume(months) : null), change: figure.change ?? null, competition: figure.competition ?? null, advertiser: figure.advertiser ?? null }
      if (before) {
        updated++
        const same = before.volume === next.volume && before.change === next.change && before.competition === next.competition && before.advertiser === next.advertiser
        if (!same) keepPast.run(id, region, source, before.at, before.volume, before.change, before.competition, before.advertiser)
      }
      const row = { phraseId: id, region, sourceId: source, monthsChange, direction: found?.direction ?? null, yearly: found?.yearly ?? null }
      const told = [at, next.volume, next.change, next.competition, next.advertiser, months?.length ? source : null, monthsChange, row.direction, row.yearly]
      if (before) setFigure.run(...told, id, region, source)
      else addFigure.run(id, region, source, ...told)
      if (months?.length) putHistory.run({ ...row, months: packMonths(months), monthsEnd: figure.monthsEnd ? packMonth(figure.monthsEnd) : null })
      if (!others.length) continue
      choose.run(row)
      chooseMonths.run(row)
    }
    return { accepted: figures.length - updated, updated }
  })

  const saveVia = relaxedTransaction(db, (list: readonly string[], language: string, via: keyof typeof VIA, at: number) => {
    for (const phrase of list) setVia.run(VIA[via], at, phraseId(phrase, language))
  })

  const saveLook = relaxedTransaction(db, (seed: string, region: string, language: string, list: readonly string[], missing: readonly string[], at: number): number => {
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
    save: (figures: readonly ToldFigure[], language: string, teller: Teller, at: number) => save(figures, language, teller, at),
    /** Puts on disk what was saved so far: to be called before an import is acknowledged. */
    settle: (teller: Teller) => { settle.run(teller.name) },
    /** Notes that a source suggests these phrases. */
    saveVia: (list: readonly string[], language: string, via: keyof typeof VIA, at: number) => { saveVia(list, language, via, at) },
    /** Keeps which phrases belong to a seed. @returns the look's id. */
    saveLook: (seed: string, region: string, language: string, list: readonly string[], missing: readonly string[], at: number) => saveLook(seed, region, language, list, missing, at),
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
      const [months, monthsEnd, source, at] = historyRow.get(id, region) ?? [null, null, null, null]
      return { months: months ? unpackMonths(months) : [], monthsEnd: monthsEnd === null ? null : unpackMonth(monthsEnd), source, at }
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
