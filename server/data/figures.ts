import { meanVolume, type Months } from '../../core/demand/volume'
import { phraseKey, wordCount } from '../../core/text/words'
import { resolvePreferredSource } from './preferredSource'
import { fromMonths } from './fromMonths'
import { packMonth, packMonths } from './months'
import { relaxedTransaction, type Db } from './open'
import type { PhraseIds } from './phraseIds'

/** A figure as a source reports it. Region '' is everywhere; what is absent is unknown. */
export interface SourceFigure {
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

export interface FigureSource {
  name: string
  kind: 'service' | 'import'
}

interface FigureRow {
  source_id: number
  at: number
  volume: number | null
  change: number | null
  competition: number | null
  advertiser: number | null
}

/** Services stand behind what a person imported, unless the person orders them otherwise. */
const SERVICE_PLACE = 1_000_000

/** Rows that one statement adds. */
const CHUNK = 25
const NONE: FigureRow[] = []
const NOTHING = fromMonths({})

/** Saves the figures of sources, and resolves which source counts for a phrase. */
export function figureWriter(db: Db, { idOf, add, addIfNew }: PhraseIds) {
  const sourceRow = db.prepare<[string], { id: number }>('SELECT id FROM source WHERE name = ?')
  // A service that is new goes before those known, as an import goes before all.
  const makeRoom = db.prepare(
    `UPDATE source SET place = place + 1 WHERE @kind = 'service' AND place >= (SELECT min(place) FROM source
      WHERE kind = 'service')`,
  )
  const addSource = db.prepare(`INSERT INTO source (name, kind, place)
    SELECT @name, @kind, CASE @kind
      WHEN 'service' THEN
        coalesce(min(place) FILTER (WHERE kind = 'service') - 1, max(place) + 1, ${SERVICE_PLACE})
      ELSE coalesce(min(place), ${SERVICE_PLACE}) - 1 END
    FROM source`)
  const countFigures = db.prepare(
    'UPDATE source SET figures = figures + ?, newest = max(coalesce(newest, 0), ?) WHERE id = ?',
  )
  // A list of new phrases is added some rows a statement: the statement itself costs more than a row.
  const addPhrases = db.prepare(
    `INSERT OR IGNORE INTO phrase (language, text, words) VALUES ${Array<string>(CHUNK).fill('(?, ?, ?)').join(', ')}`,
  )
  const addPlains = db.prepare(
    `INSERT INTO figure (phrase_id, region, source_id, counts, at, volume, change, competition, advertiser)
      VALUES ${Array<string>(CHUNK).fill('(?, ?, ?, 1, ?, ?, ?, ?, ?)').join(', ')}`,
  )
  const figureRows = db.prepare<[number, string], FigureRow>(
    'SELECT source_id, at, volume, change, competition, advertiser FROM figure WHERE phrase_id = ? AND region = ?',
  )
  // Two statements rather than one upsert, which takes four times as long a row.
  const addFigure = db.prepare(`
    INSERT INTO figure (phrase_id, region, source_id, counts, at, volume, change, competition, advertiser,
      months_source, months_change, trend_direction, trend_yearly, season_strength, season_peaks, spiked)
    VALUES (?, ?, ?, 1, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`)
  const addPlain = db.prepare(
    `INSERT INTO figure (phrase_id, region, source_id, counts, at, volume, change, competition, advertiser)
      VALUES (?, ?, ?, 1, ?, ?, ?, ?, ?)`,
  )
  const setFigure = db.prepare(`
    UPDATE figure SET at = ?, volume = ?, change = ?, competition = ?, advertiser = ?, months_source = ?,
      months_change = ?, trend_direction = ?, trend_yearly = ?, season_strength = ?, season_peaks = ?, spiked = ?
    WHERE phrase_id = ? AND region = ? AND source_id = ?`)
  const putHistory = db.prepare(
    `INSERT OR REPLACE INTO history VALUES (@phraseId, @region, @sourceId, @months, @monthsEnd, @monthsChange,
      @direction, @yearly, @strength, @peaks, @spiked)`,
  )
  const keepPast = db.prepare('INSERT OR IGNORE INTO figure_past VALUES (?, ?, ?, ?, ?, ?, ?, ?)')
  const resolvePreferred = resolvePreferredSource(db)
  function sourceId(teller: FigureSource): number {
    const known = sourceRow.get(teller.name)?.id
    if (known !== undefined) return known
    makeRoom.run(teller)
    return Number(addSource.run(teller).lastInsertRowid)
  }

  // What a chunk is written with, used again for each.
  const named: unknown[] = []
  const plain: unknown[] = []

  /**
   * Adds the next figures, without months and of phrases that are all new, and their phrases.
   * @returns false, with the new phrases added, when some were known.
   */
  function addChunk(
    figures: readonly SourceFigure[],
    from: number,
    language: string,
    source: number,
    at: number,
    ids: number[],
  ): boolean {
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
      for (const value of [
        first + i,
        region,
        source,
        at,
        volume ?? null,
        change ?? null,
        competition ?? null,
        advertiser ?? null,
      ])
        plain[k++] = value
    }
    addPlains.run(plain)
    return true
  }

  return relaxedTransaction(
    db,
    (
      figures: readonly SourceFigure[],
      language: string,
      teller: FigureSource,
      at: number,
    ): { accepted: number; updated: number; ids: number[] } => {
      const source = sourceId(teller)
      let updated = 0
      const ids: number[] = []
      let expectNew = true
      /** Where the chunk being written row by row ends: part of it was known, so that it could not be added as one. */
      let singly = 0
      for (let i = 0; i < figures.length; i++) {
        if (i >= singly && expectNew && i + CHUNK <= figures.length) {
          if (addChunk(figures, i, language, source, at, ids)) {
            i += CHUNK - 1
            continue
          }
          singly = i + CHUNK
        }
        const figure = figures[i]!
        const text = figure.keyed ? figure.phrase : phraseKey(figure.phrase)
        // After a new phrase mostly comes another new one: it is added at once, and looked up only when that fails.
        const added: number | undefined = expectNew ? addIfNew(text, language) : undefined
        const seen: number | undefined = added === undefined ? idOf(language, text) : undefined
        const id = added ?? seen ?? add(text, language)
        expectNew = seen === undefined
        ids.push(id)
        const { region } = figure
        const others = seen === undefined ? NONE : figureRows.all(id, region)
        const before = others.find(other => other.source_id === source)
        const derived = figure.months?.length ? fromMonths(figure) : NOTHING
        const next = {
          volume: figure.volume ?? (figure.months ? meanVolume(figure.months) : null),
          change: figure.change ?? null,
          competition: figure.competition ?? null,
          advertiser: figure.advertiser ?? null,
        }
        if (before) {
          updated++
          const same =
            before.volume === next.volume &&
            before.change === next.change &&
            before.competition === next.competition &&
            before.advertiser === next.advertiser
          if (!same)
            keepPast.run(
              id,
              region,
              source,
              before.at,
              before.volume,
              before.change,
              before.competition,
              before.advertiser,
            )
        }
        const row = { phraseId: id, region, sourceId: source, ...derived }
        const values = [
          at,
          next.volume,
          next.change,
          next.competition,
          next.advertiser,
          figure.months?.length ? source : null,
          derived.monthsChange,
          derived.direction,
          derived.yearly,
          derived.strength,
          derived.peaks,
          derived.spiked,
        ]
        if (!before && derived === NOTHING)
          addPlain.run(id, region, source, at, next.volume, next.change, next.competition, next.advertiser)
        else if (before) setFigure.run(...values, id, region, source)
        else addFigure.run(id, region, source, ...values)
        if (figure.months?.length)
          putHistory.run({
            ...row,
            months: packMonths(figure.months),
            monthsEnd: figure.monthsEnd ? packMonth(figure.monthsEnd) : null,
          })
        if (!others.length) continue
        resolvePreferred(id, region)
      }
      if (figures.length) countFigures.run(figures.length - updated, at, source)
      return { accepted: figures.length - updated, updated, ids }
    },
  )
}
