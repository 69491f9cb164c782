import { LEAST_CAP } from '../../core/demand/worth'
import { phraseKey } from '../../core/text/words'
import { figureWriter, type FigureSource, type SourceFigure } from './figures'
import { knownPhrases } from './knownPhrases'
import { relaxedTransaction, settle, type Db } from './open'
import { phraseIds } from './phraseIds'

/** Bits that say which sources suggest a phrase. */
export const VIA = { video: 1, web: 2 } as const

export type PhraseStore = ReturnType<typeof phraseStore>

/**
 * Phrases, the figures of each source, and the seeds looked up.
 *
 * @param now the clock, in UTC milliseconds; tests pass their own.
 * @param changed told the ids of phrases whose figures changed, once that is committed, and whether by a person's
 * doing: what a service tells when it is asked is news only to who asked.
 */
export function phraseStore(
  db: Db,
  now: () => number = Date.now,
  changed: (ids: readonly number[], byPerson?: boolean) => void = () => undefined,
) {
  const ids = phraseIds(db)
  const saveFigures = figureWriter(db, ids)
  const interest = db.prepare<[number], { region: string; volume: number; at: number }>(
    'SELECT region, volume, at FROM region_interest WHERE phrase_id = ? ORDER BY volume DESC',
  )
  const putInterest = db.prepare(
    'INSERT OR REPLACE INTO region_interest (phrase_id, region, volume, source, at) VALUES (?, ?, ?, ?, ?)',
  )
  const capRow = db.prepare<[string], { cap: number; known: number; at: number }>(
    'SELECT cap, known, at FROM volume_cap WHERE region = ?',
  )
  const putCap = db.prepare('INSERT OR REPLACE INTO volume_cap (region, cap, known, at) VALUES (?, ?, ?, ?)')
  const lookRow = db.prepare<[string, string, string], { id: number; at: number; missing: string }>(
    'SELECT id, at, missing FROM look WHERE language = ? AND region = ? AND seed = ?',
  )
  const putLook = db.prepare<
    [string, string, string, number, string],
    { id: number }
  >(`INSERT INTO look (language, region, seed, at, missing) VALUES (?, ?, ?, ?, ?)
    ON CONFLICT (language, region, seed) DO UPDATE SET at = excluded.at, missing = excluded.missing RETURNING id`)
  const dropLookPhrases = db.prepare('DELETE FROM look_phrase WHERE look_id = ?')
  const addLookPhrase = db.prepare('INSERT OR IGNORE INTO look_phrase (look_id, phrase_id) VALUES (?, ?)')
  const setVia = db.prepare('UPDATE phrase SET via = via | ?, via_at = ? WHERE id = ?')

  const saveVia = relaxedTransaction(
    db,
    (list: readonly string[], language: string, via: keyof typeof VIA, at: number) => {
      return list.map(phrase => {
        const { id } = ids.ensure(phrase, language)
        setVia.run(VIA[via], at, id)
        return id
      })
    },
  )

  const saveLook = relaxedTransaction(
    db,
    (
      seed: string,
      region: string,
      language: string,
      list: readonly string[],
      missing: readonly string[],
      at: number,
    ) => {
      const { id } = putLook.get(language, region, phraseKey(seed), at, JSON.stringify(missing))!
      dropLookPhrases.run(id)
      const found = list.map(phrase => ids.ensure(phrase, language).id)
      for (const each of found) addLookPhrase.run(id, each)
      return { id, ids: found }
    },
  )

  return {
    /** The id of a phrase, made when it is new. */
    phraseId(phrase: string, language: string): number {
      const { id, isNew } = ids.ensure(phrase, language)
      if (isNew) changed([id])
      return id
    },
    phraseIds: ids.ensureAll,
    idOf: ids.idOf,
    ...knownPhrases(db),
    /**
     * Saves a source's figures in one transaction: 2,000 at most, so that no autosave waits long. Earlier figures of
     * the same source are kept as past ones.
     * @returns how many figures are new and how many replace one of the same source.
     */
    save(
      figures: readonly SourceFigure[],
      language: string,
      teller: FigureSource,
      at: number,
    ): { accepted: number; updated: number } {
      const { ids, ...counts } = saveFigures(figures, language, teller, at)
      changed(ids, teller.kind === 'import')
      return counts
    },
    /** Puts on disk what was kept so far. */
    settle: () => {
      settle(db)
    },
    /** Notes that a source suggests these phrases. */
    saveVia: (list: readonly string[], language: string, via: keyof typeof VIA, at: number) => {
      changed(saveVia(list, language, via, at))
    },
    /** Keeps which phrases belong to a seed. @returns the look's id. */
    saveLook(
      seed: string,
      region: string,
      language: string,
      list: readonly string[],
      missing: readonly string[],
      at: number,
    ): number {
      const { id, ids } = saveLook(seed, region, language, list, missing, at)
      changed(ids)
      return id
    },
    /** The last look at a seed, or `null`. */
    look(seed: string, region: string, language: string): { id: number; at: number; missing: string[] } | null {
      const found = lookRow.get(language, region, phraseKey(seed))
      return found ? { id: found.id, at: found.at, missing: JSON.parse(found.missing) as string[] } : null
    },
    /** Searches of a phrase by region, as last reported, in descending order. */
    interest: (id: number) => interest.all(id),
    /** Keeps where it is searched. */
    saveInterest: relaxedTransaction(
      db,
      (id: number, list: readonly { region: string; volume: number }[], source: string, at: number) => {
        for (const { region, volume } of list) putInterest.run(id, region, volume, source, at)
      },
    ),
    /**
     * The cap on volume in a region: the 99.9th percentile of known volumes, at least `LEAST_CAP`, and when it was
     * worked out; the least until that is.
     */
    cap: (region: string): { cap: number; at: number | null } => capRow.get(region) ?? { cap: LEAST_CAP, at: null },
    /** Keeps a cap that was worked out from so many known volumes. */
    putCap: (region: string, cap: number, known: number) => {
      putCap.run(region, cap, known, now())
    },
  }
}
