import { PAGE_SEATS } from '../../core/rivals/difficulty'
import { areSpellings } from '../../core/text/spelling'
import type { Db } from './open'

/** The first results by which pages that may be one are found, and how much of them must be the same. */
const TOP = 3
const SAME_RESULTS = 0.75

/** Finds pages that two spellings of one phrase share. @param codes the videos of a page by rank, down to a rank. */
export function spellingMatcher(db: Db, codes: (pageId: number, most: number) => string[]) {
  const alike = db.prepare<
    { page: number; phrase: number; region: string },
    { phrase_id: number; page_id: number; text: string; volume: number | null }
  >(`SELECT g.phrase_id, g.page_id, p.text, f.volume FROM seat mine
    CROSS JOIN seat other ON other.video_id = mine.video_id AND other.rank <= ${TOP}
    CROSS JOIN standing_page g ON g.page_id = other.page_id CROSS JOIN phrase p ON p.id = g.phrase_id
    CROSS JOIN phrase o ON o.id = @phrase AND o.language = p.language LEFT JOIN figure f ON f.phrase_id = g.phrase_id
    AND f.region = g.region AND f.counts = 1
    WHERE mine.page_id = @page AND mine.rank <= ${TOP} AND g.region = @region AND g.phrase_id != @phrase
    GROUP BY g.phrase_id`)
  const searched = db.prepare<[string, number], { text: string; language: string; volume: number | null }>(
    `SELECT p.text, p.language, f.volume FROM phrase p LEFT JOIN figure f ON f.phrase_id = p.id AND f.region = ?
      AND f.counts = 1 WHERE p.id = ?`,
  )
  const readAs = db.prepare('UPDATE standing_page SET read_as = ? WHERE phrase_id = ? AND region = ?')
  const readAsThis = db.prepare<[number, string], { phrase_id: number }>(
    'SELECT phrase_id FROM standing_page WHERE read_as = ? AND region = ?',
  )

  /**
   * Finds of two spellings with the same results which one is searched more: the other one's page is read as that
   * one's.
   * @returns the phrases whose figures change by it.
   */
  return (phraseId: number, region: string, pageId: number): number[] => {
    const affected = readAsThis.all(phraseId, region).map(row => row.phrase_id)
    const near = alike.all({ page: pageId, phrase: phraseId, region })
    if (!near.length) return affected
    const mine = searched.get(region, phraseId)!
    const spellings = near.filter(other => areSpellings(mine.text, other.text, mine.language))
    if (!spellings.length) return affected
    const here = new Set(codes(pageId, PAGE_SEATS))
    let best: { id: number; volume: number } | null = null
    for (const other of spellings) {
      const there = codes(other.page_id, PAGE_SEATS)
      if (there.filter(code => here.has(code)).length < SAME_RESULTS * Math.max(here.size, there.length)) continue
      if ((other.volume ?? 0) > (mine.volume ?? 0)) {
        if (!best || (other.volume ?? 0) > best.volume) best = { id: other.phrase_id, volume: other.volume ?? 0 }
      } else if ((mine.volume ?? 0) > (other.volume ?? 0)) {
        readAs.run(phraseId, other.phrase_id, region)
        affected.push(other.phrase_id)
      }
    }
    if (best) readAs.run(best.id, phraseId, region)
    // None is read as one that is itself read as another.
    if (best) for (const id of affected) readAs.run(best.id, id, region)
    return affected
  }
}
