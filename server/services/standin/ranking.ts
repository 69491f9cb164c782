import type { Database, Statement } from 'better-sqlite3'
import { hash } from './chance'
import { MISSPELLINGS } from './vocabulary'

/**
 * How the simulated site ranks. This is the site's own business: nothing of the product may
 * read it. Title far above description above tags; exact wording helps, less than the trade
 * believes and differently by trade; what viewers did and who the channel is weigh too.
 */
interface Hit { id: number, bm25: number, title: string, published_at: number, views: number, clicks: number, watched: number, subscribers: number, standing: number, trade: string }

const CANDIDATES = 180
/** Candidates beyond the asked depth with which a looser query is not tried. */
const SPARE = 15
const DAY = 86_400_000
const STOPS = new Set(['a', 'an', 'the', 'to', 'how', 'do', 'you', 'in', 'on', 'for', 'of', 'with', 'and', 'is', 'can', 'when', 'vs', 'best', 'your'])
const CORRECTED = new Map(Object.entries(MISSPELLINGS).flatMap(([word, list]) => list.map(([wrong]): [string, string] => [wrong, word])))
/** What exact wording is worth in each trade. */
const WORDING: Record<string, number> = { bicycle: 0.5, jewellery: 0.2, riding: 0.35, kitchen: 0.05, music: 0.15, cars: 0.3, speaking: 0.4 }

export class Ranking {
  private readonly find: Statement<[string], Hit>

  constructor(db: Database, private readonly newestDay: number) {
    this.find = db.prepare<[string], Hit>(`
      SELECT v.id, h.score AS bm25, v.title, v.published_at, v.views, v.clicks, v.watched, c.subscribers, c.standing, c.trade
      FROM (SELECT rowid, rank AS score FROM video_words WHERE video_words MATCH ? ORDER BY rank LIMIT ${CANDIDATES}) h
      JOIN video v ON v.id = h.rowid JOIN channel c ON c.id = v.channel_id`)
  }

  /** Video ids, best first. */
  rank(phrase: string, region: string | null, depth: number): number[] {
    const words = phrase.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []
    const content = words.filter(word => !STOPS.has(word))
    const asked = (content.length ? content : words).slice(0, 12)
    if (!asked.length) return []
    const term = (word: string) => {
      const right = CORRECTED.get(word)
      return right ? `("${word}" OR "${right}")` : `"${word}"`
    }
    const hits = new Map<number, Hit>()
    for (const query of this.queries(asked.map(term))) {
      for (const hit of this.find.all(query)) if (!hits.has(hit.id)) hits.set(hit.id, hit)
      if (hits.size >= depth + SPARE) break
    }
    const plain = ` ${words.join(' ')} `
    const scored = [...hits.values()].map((hit) => {
      const age = (this.newestDay - hit.published_at) / DAY
      const title = ` ${hit.title.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, ' ')} `
      const score = 0.16 * Math.min(12, -hit.bm25)
        + (title.includes(plain) ? WORDING[hit.trade] ?? 0.3 : 0)
        + 0.9 * hit.clicks + 1.1 * hit.watched
        + 0.13 * Math.log10(1 + hit.subscribers) + 0.3 * hit.standing
        + 0.22 * Math.log10(1 + hit.views / Math.max(1, age))
        + 0.35 * Math.exp(-age / 45)
        + 0.12 * (hash(`${region ?? ''}${hit.id}`) / 4_294_967_296)
        + 0.06 * (hash(`${Math.floor(this.newestDay / DAY)}${hit.id}`) / 4_294_967_296)
      return { id: hit.id, score }
    })
    return scored.sort((a, b) => b.score - a.score || a.id - b.id).slice(0, depth).map(hit => hit.id)
  }

  /** All words first; then each word left out in turn; then any word. */
  private* queries(terms: string[]): Generator<string> {
    yield terms.join(' AND ')
    if (terms.length > 2) yield terms.map((_, out) => `(${terms.filter((__, i) => i !== out).join(' AND ')})`).join(' OR ')
    if (terms.length > 1) yield terms.join(' OR ')
  }
}
