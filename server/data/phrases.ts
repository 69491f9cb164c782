import type { Trend } from '../../core/demand/trend'
import { meanVolume, type Months } from '../../core/demand/volume'
import type { Intent } from '../../core/demand/intent'
import { LEAST_CAP } from '../../core/demand/worth'
import { phraseKey, wordCount } from '../../core/text/words'
import { fromMonths } from './fromMonths'
import { packMonth, packMonths, unpackMonth, unpackMonths } from './months'
import { unpackStrengths } from './strengths'
import { JUDGED } from './judged'
import { believeFirst } from './believe'
import { relaxedTransaction, settle, type Db } from './open'

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
  /** Whether the phrase is known to be in the form of its key. */
  keyed?: boolean
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
  advertiser: number | null
  seasonStrength: number | null
  /** Twelve bits, January the lowest. */
  seasonPeaks: number | null
  spiked: number | null
  intent: Intent | null
  /** Strengths on the page that stands for it, by rank, and whether the site has more results. */
  strengths: number[] | null
  more: boolean
  /** How many results were read of that page. */
  results: number | null
  /** The more searched spelling whose difficulty, chance and competition it takes. */
  readAs: string | null
}

interface FigureRow { source_id: number, at: number, volume: number | null, change: number | null, competition: number | null, advertiser: number | null }

/** Services stand behind what a person imported, unless the person orders them otherwise. */
const SERVICE_PLACE = 1_000_000

const KNOWN = `p.id, p.text, p.words, p.via, f.volume, a.volume AS volumeAll, coalesce(f.change, f.months_change) AS change, f.competition, f.trend_direction AS direction, f.trend_yearly AS yearly,
  ${JUDGED.difficulty}, ${JUDGED.titleMatches}, g.video_block AS videoBlock, f.advertiser, f.season_strength, f.season_peaks, f.spiked, g.intent, ${JUDGED.strengths}, ${JUDGED.more}, length(g.strengths) / 4 AS results,
  (SELECT text FROM phrase WHERE id = g.read_as) AS readAs`
const JOINS = `LEFT JOIN figure f ON f.phrase_id = p.id AND f.region = @region AND f.counts = 1
  LEFT JOIN figure a ON a.phrase_id = p.id AND a.region = '' AND a.counts = 1
  LEFT JOIN standing_page g ON g.phrase_id = p.id AND g.region = @region ${JUDGED.join}`

/** A row of `KNOWN` as read raw: with thousands of rows, naming each column twice is most of the cost. */
type KnownRow = [number, string, number, number, number | null, number | null, number | null, number | null, Trend['direction'] | null, number | null, number | null, number | null, number | null,
  number | null, number | null, number | null, number | null, Intent | null, Buffer | null, number | null, number | null, string | null]
const toKnown = ([id, text, words, via, volume, volumeAll, change, competition, direction, yearly, difficulty, titleMatches, videoBlock, advertiser, seasonStrength, seasonPeaks, spiked, intent, strengths, more, results, readAs]: KnownRow): KnownPhrase => ({
  id, text, words, via, volume, volumeAll, change, competition, trend: direction === null ? null : { direction, yearly: yearly! }, difficulty, titleMatches, videoBlock,
  advertiser, seasonStrength, seasonPeaks, spiked, intent, strengths: strengths && unpackStrengths(strengths), more: more === 1, results, readAs,
})

const KNOWN_COLUMNS = 22

/** The months of a phrase in a region, with the source whose volume counts there and when it told. */
export interface Origin { months: (number | null)[], monthsEnd: string | null, source: string | null, at: number | null }
const ORIGIN = 'h.months, h.months_end, s.name, f.at'
type OriginRow = [Buffer | null, number | null, string | null, number | null]
const toOrigin = ([months, monthsEnd, source, at]: OriginRow): Origin => ({ months: months ? unpackMonths(months) : [], monthsEnd: monthsEnd === null ? null : unpackMonth(monthsEnd), source, at })

const CHUNK = 25
const NONE: FigureRow[] = []
const NOTHING = fromMonths({})

export type PhraseStore = ReturnType<typeof phraseStore>

/**
 * Phrases, what each source told of them, and the seeds looked up.
 *
 * @param now the clock, in UTC milliseconds; tests pass their own.
 * @param changed told the ids of phrases whose figures changed, once that is committed, and whether by a person's doing: what a service
 * tells when it is asked is news only to who asked.
 */
export function phraseStore(db: Db, now: () => number = Date.now, changed: (ids: readonly number[], byPerson?: boolean) => void = () => undefined) {
  const idOf = db.prepare<[string, string], { id: number }>('SELECT id FROM phrase WHERE language = ? AND text = ?')
  const addPhrase = db.prepare('INSERT OR IGNORE INTO phrase (language, text, words) VALUES (?, ?, ?)')
  const sourceRow = db.prepare<[string], { id: number }>('SELECT id FROM source WHERE name = ?')
  // A service that is new goes before those known, as an import goes before all.
  const makeRoom = db.prepare(`UPDATE source SET place = place + 1 WHERE @kind = 'service' AND place >= (SELECT min(place) FROM source WHERE kind = 'service')`)
  const addSource = db.prepare(`INSERT INTO source (name, kind, place)
    SELECT @name, @kind, CASE @kind WHEN 'service' THEN coalesce(min(place) FILTER (WHERE kind = 'service') - 1, max(place) + 1, ${SERVICE_PLACE}) ELSE coalesce(min(place), ${SERVICE_PLACE}) - 1 END FROM source`)
  const countFigures = db.prepare('UPDATE source SET figures = figures + ?, newest = max(coalesce(newest, 0), ?) WHERE id = ?')
  // A list of new phrases is added some rows a statement: the statement itself costs more than a row.
  const addPhrases = db.prepare(`INSERT OR IGNORE INTO phrase (language, text, words) VALUES ${Array<string>(CHUNK).fill('(?, ?, ?)').join(', ')}`)
  const addPlains = db.prepare(`INSERT INTO figure (phrase_id, region, source_id, counts, at, volume, change, competition, advertiser) VALUES ${Array<string>(CHUNK).fill('(?, ?, ?, 1, ?, ?, ?, ?, ?)').join(', ')}`)
  const figureRows = db.prepare<[number, string], FigureRow>('SELECT source_id, at, volume, change, competition, advertiser FROM figure WHERE phrase_id = ? AND region = ?')
  // Two statements rather than one upsert, which takes four times as long a row.
  const addFigure = db.prepare(`INSERT INTO figure (phrase_id, region, source_id, counts, at, volume, change, competition, advertiser, months_source, months_change, trend_direction, trend_yearly, season_strength, season_peaks, spiked)
    VALUES (?, ?, ?, 1, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`)
  const addPlain = db.prepare('INSERT INTO figure (phrase_id, region, source_id, counts, at, volume, change, competition, advertiser) VALUES (?, ?, ?, 1, ?, ?, ?, ?, ?)')
  const setFigure = db.prepare(`UPDATE figure SET at = ?, volume = ?, change = ?, competition = ?, advertiser = ?, months_source = ?, months_change = ?, trend_direction = ?, trend_yearly = ?, season_strength = ?, season_peaks = ?, spiked = ?
    WHERE phrase_id = ? AND region = ? AND source_id = ?`)
  const putHistory = db.prepare('INSERT OR REPLACE INTO history VALUES (@phraseId, @region, @sourceId, @months, @monthsEnd, @monthsChange, @direction, @yearly, @strength, @peaks, @spiked)')
  const keepPast = db.prepare('INSERT OR IGNORE INTO figure_past VALUES (?, ?, ?, ?, ?, ?, ?, ?)')
  const believe = believeFirst(db)
  const known = db.prepare<{ language: string, text: string, region: string }, KnownRow>(`SELECT ${KNOWN} FROM phrase p ${JOINS} WHERE p.language = @language AND p.text = @text`).raw()
  // One statement for all: what a call costs by itself is more than half of a row.
  const rowsById = db.prepare<{ ids: string, region: string }, [...KnownRow, ...OriginRow]>(`SELECT ${KNOWN.replace(JUDGED.strengths, 'NULL')}, ${ORIGIN} FROM json_each(@ids) j CROSS JOIN phrase p ON p.id = j.value ${JOINS}
    LEFT JOIN source s ON s.id = f.source_id LEFT JOIN history h ON h.phrase_id = f.phrase_id AND h.region = f.region AND h.source_id = f.months_source ORDER BY j.key`).raw()
  const textsById = db.prepare<[string], [text: string]>('SELECT p.text FROM json_each(?) j CROSS JOIN phrase p ON p.id = j.value ORDER BY j.key').raw()
  const originRow = db.prepare<[number, string], OriginRow>(`SELECT ${ORIGIN} FROM figure f JOIN source s ON s.id = f.source_id
    LEFT JOIN history h ON h.phrase_id = f.phrase_id AND h.region = f.region AND h.source_id = f.months_source WHERE f.phrase_id = ? AND f.region = ? AND f.counts = 1`).raw()
  const told = db.prepare<{ language: string, text: string }, { region: string, source: string, volume: number | null, at: number }>(`
    SELECT f.region, s.name AS source, f.volume, f.at FROM phrase p JOIN figure f ON f.phrase_id = p.id JOIN source s ON s.id = f.source_id
    WHERE p.language = @language AND p.text = @text ORDER BY f.region = '', f.region, s.place`)
  const interest = db.prepare<[number], { region: string, volume: number, at: number }>('SELECT region, volume, at FROM region_interest WHERE phrase_id = ? ORDER BY volume DESC')
  const putInterest = db.prepare('INSERT OR REPLACE INTO region_interest (phrase_id, region, volume, source, at) VALUES (?, ?, ?, ?, ?)')
  const capRow = db.prepare<[string], { cap: number, known: number, at: number }>('SELECT cap, known, at FROM volume_cap WHERE region = ?')
  const putCap = db.prepare('INSERT OR REPLACE INTO volume_cap (region, cap, known, at) VALUES (?, ?, ?, ?)')
  const lookRow = db.prepare<[string, string, string], { id: number, at: number, missing: string }>('SELECT id, at, missing FROM look WHERE language = ? AND region = ? AND seed = ?')
  const putLook = db.prepare<[string, string, string, number, string], { id: number }>(`INSERT INTO look (language, region, seed, at, missing) VALUES (?, ?, ?, ?, ?)
    ON CONFLICT (language, region, seed) DO UPDATE SET at = excluded.at, missing = excluded.missing RETURNING id`)
  const dropLookPhrases = db.prepare('DELETE FROM look_phrase WHERE look_id = ?')
  const addLookPhrase = db.prepare('INSERT OR IGNORE INTO look_phrase (look_id, phrase_id) VALUES (?, ?)')
  const setVia = db.prepare('UPDATE phrase SET via = via | ?, via_at = ? WHERE id = ?')

  function phraseId(phrase: string, language: string): number {
    const text = phraseKey(phrase)
    return idOf.get(language, text)?.id ?? addNew(text, language)
  }

  const addNew = (text: string, language: string) => Number(addPhrase.run(language, text, wordCount(text)).lastInsertRowid)

  const phraseIds = relaxedTransaction(db, (list: readonly string[], language: string) => list.map(phrase => phraseId(phrase, language)))

  function sourceId(teller: Teller): number {
    const known = sourceRow.get(teller.name)?.id
    if (known !== undefined) return known
    makeRoom.run(teller)
    return Number(addSource.run(teller).lastInsertRowid)
  }

  // What a chunk is written with, used again for each.
  const named: unknown[] = []
  const plain: unknown[] = []

  /** Adds the next figures, without months and of phrases that are all new, and their phrases. @returns false, with the new phrases added, when some were known. */
  function addChunk(figures: readonly ToldFigure[], from: number, language: string, source: number, at: number, ids: number[]): boolean {
    for (let i = 0, k = 0; i < CHUNK; i++) {
      const { phrase, keyed, months } = figures[from + i]!
      if (months?.length) return false
      const text = keyed ? phrase : phraseKey(phrase)
      named[k++] = language
      named[k++] = text
      named[k++] = wordCount(text)
    }
    const { changes, lastInsertRowid } = addPhrases.run(named)
    if (changes !== CHUNK) return false
    const first = Number(lastInsertRowid) - CHUNK + 1
    for (let i = 0, k = 0; i < CHUNK; i++) {
      const { region, volume, change, competition, advertiser } = figures[from + i]!
      ids.push(first + i)
      for (const value of [first + i, region, source, at, volume ?? null, change ?? null, competition ?? null, advertiser ?? null]) plain[k++] = value
    }
    addPlains.run(plain)
    return true
  }

  const save = relaxedTransaction(db, (figures: readonly ToldFigure[], language: string, teller: Teller, at: number): { accepted: number, updated: number, ids: number[] } => {
    const source = sourceId(teller)
    let updated = 0
    const ids: number[] = []
    let expectNew = true
    /** Where the chunk being written row by row ends: part of it was known, so that it could not be added as one. */
    let singly = 0
    for (let i = 0; i < figures.length; i++) {
      if (i >= singly && expectNew && i + CHUNK <= figures.length) {
        if (addChunk(figures, i, language, source, at, ids)) { i += CHUNK - 1; continue }
        singly = i + CHUNK
      }
      const figure = figures[i]!
      const text = figure.keyed ? figure.phrase : phraseKey(figure.phrase)
      // A list of new phrases mostly goes on with new ones: they are added at once, and looked up only when that fails.
      const added: { changes: number, lastInsertRowid: number | bigint } | null = expectNew ? addPhrase.run(language, text, wordCount(text)) : null
      const seen: number | undefined = added?.changes ? undefined : idOf.get(language, text)?.id
      const id = added?.changes ? Number(added.lastInsertRowid) : seen ?? addNew(text, language)
      expectNew = seen === undefined
      ids.push(id)
      const { region } = figure
      const others = seen === undefined ? NONE : figureRows.all(id, region)
      const before = others.find(other => other.source_id === source)
      const told = figure.months?.length ? fromMonths(figure) : NOTHING
      const next = { volume: figure.volume ?? (figure.months ? meanVolume(figure.months) : null), change: figure.change ?? null, competition: figure.competition ?? null, advertiser: figure.advertiser ?? null }
      if (before) {
        updated++
        const same = before.volume === next.volume && before.change === next.change && before.competition === next.competition && before.advertiser === next.advertiser
        if (!same) keepPast.run(id, region, source, before.at, before.volume, before.change, before.competition, before.advertiser)
      }
      const row = { phraseId: id, region, sourceId: source, ...told }
      const values = [at, next.volume, next.change, next.competition, next.advertiser, figure.months?.length ? source : null, told.monthsChange, told.direction, told.yearly, told.strength, told.peaks, told.spiked]
      if (!before && told === NOTHING) addPlain.run(id, region, source, at, next.volume, next.change, next.competition, next.advertiser)
      else if (before) setFigure.run(...values, id, region, source)
      else addFigure.run(id, region, source, ...values)
      if (figure.months?.length) putHistory.run({ ...row, months: packMonths(figure.months), monthsEnd: figure.monthsEnd ? packMonth(figure.monthsEnd) : null })
      if (!others.length) continue
      believe(id, region)
    }
    if (figures.length) countFigures.run(figures.length - updated, at, source)
    return { accepted: figures.length - updated, updated, ids }
  })

  const saveVia = relaxedTransaction(db, (list: readonly string[], language: string, via: keyof typeof VIA, at: number) => {
    return list.map((phrase) => {
      const id = phraseId(phrase, language)
      setVia.run(VIA[via], at, id)
      return id
    })
  })

  const saveLook = relaxedTransaction(db, (seed: string, region: string, language: string, list: readonly string[], missing: readonly string[], at: number) => {
    const { id } = putLook.get(language, region, phraseKey(seed), at, JSON.stringify(missing))!
    dropLookPhrases.run(id)
    const ids = list.map(phrase => phraseId(phrase, language))
    for (const each of ids) addLookPhrase.run(id, each)
    return { id, ids }
  })

  return {
    /** The id of a phrase, made when it is new. */
    phraseId(phrase: string, language: string): number {
      const text = phraseKey(phrase)
      const seen = idOf.get(language, text)?.id
      if (seen !== undefined) return seen
      const id = addNew(text, language)
      changed([id])
      return id
    },
    /** The ids of many, known or not, in one transaction. */
    phraseIds,
    /**
     * Keeps what a source told, in one transaction: 2,000 figures at most, so that no autosave
     * waits long. What the same source told before is kept as past.
     * @returns how many figures are new and how many replace one of the same source.
     */
    save(figures: readonly ToldFigure[], language: string, teller: Teller, at: number): { accepted: number, updated: number } {
      const { ids, ...counts } = save(figures, language, teller, at)
      changed(ids, teller.kind === 'import')
      return counts
    },
    /** Puts on disk what was kept so far. */
    settle: () => { settle(db) },
    /** Notes that a source suggests these phrases. */
    saveVia: (list: readonly string[], language: string, via: keyof typeof VIA, at: number) => { changed(saveVia(list, language, via, at)) },
    /** Keeps which phrases belong to a seed. @returns the look's id. */
    saveLook(seed: string, region: string, language: string, list: readonly string[], missing: readonly string[], at: number): number {
      const { id, ids } = saveLook(seed, region, language, list, missing, at)
      changed(ids)
      return id
    },
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
    /** The same of many by their ids, in their order, without the strengths of their pages; and where their volumes come from. */
    rowsById: (ids: readonly number[], region: string): { known: KnownPhrase, origin: Origin }[] => rowsById.all({ ids: JSON.stringify(ids), region })
      .map(found => ({ known: toKnown(found as unknown as KnownRow), origin: toOrigin(found.slice(KNOWN_COLUMNS) as OriginRow) })),
    textsById: (ids: readonly number[]): string[] => textsById.all(JSON.stringify(ids)).map(([text]) => text),
    /** The months of a phrase in a region, with the source whose volume counts there and when it told. */
    originOf: ({ id }: Pick<KnownPhrase, 'id'>, region: string): Origin => toOrigin(originRow.get(id, region) ?? [null, null, null, null]),
    /** Every source's figure of a phrase, its regions before everywhere, in the order sources are believed. */
    figuresOf: (phrase: string, language: string) => told.all({ language, text: phraseKey(phrase) }),
    /** Where in the world a phrase is searched, as last told, falling. */
    interest: (id: number) => interest.all(id),
    /** Keeps where it is searched. */
    keepInterest: relaxedTransaction(db, (id: number, list: readonly { region: string, volume: number }[], source: string, at: number) => { for (const { region, volume } of list) putInterest.run(id, region, volume, source, at) }),
    /** The cap on volume in a region: the 99.9th percentile of known volumes, at least `LEAST_CAP`, and when it was worked out; the least until that is. */
    cap: (region: string): { cap: number, at: number | null } => capRow.get(region) ?? { cap: LEAST_CAP, at: null },
    /** Keeps a cap that was worked out from so many known volumes. */
    putCap: (region: string, cap: number, known: number) => { putCap.run(region, cap, known, now()) },
  }
}
