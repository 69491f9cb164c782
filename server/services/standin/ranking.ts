import { DAY } from '../../../core/time'
import type { Database, Statement } from 'better-sqlite3'
import { hash } from './chance'
import { MISSPELLINGS } from './vocabulary'

/**
 * How the simulated site ranks. This is the site's own business: nothing of the product may
 * read it. Title far above description above tags; exact wording helps, less than the trade
 * believes and differently by trade; what viewers did and who the channel is weigh too.
 */
interface Hit {
  id: number
  bm25: number
  title: string
  published_at: number
  views: number
  clicks: number
  watched: number
  subscribers: number
  standing: number
  trade: string
}

const CANDIDATES = 120
/**
 * Hits that are weighed by their text at most. Videos are numbered by how well they stand whatever
 * is searched, so that these are the best-standing ones, and a search for a common word costs no more
 * than one for a rare word.
 */
const WEIGHED = 300
/** Candidates beyond the asked depth with which a looser query is not tried. */
const SPARE = 15
/** A word in this many videos is common, and counting further tells nothing. */
const COMMON = 20_000
const STOPS = new Set([
  'a',
  'an',
  'the',
  'to',
  'how',
  'do',
  'you',
  'in',
  'on',
  'for',
  'of',
  'with',
  'and',
  'is',
  'can',
  'when',
  'vs',
  'best',
  'your',
])
const CORRECTED = new Map(
  Object.entries(MISSPELLINGS).flatMap(([word, list]) => list.map(([wrong]): [string, string] => [wrong, word])),
)

/** What does not depend on the words searched: what viewers did, who the channel is, how it goes now. */
export function standsFor(
  video: { publishedAt: number; views: number; clicks: number; watched: number },
  channel: { subscribers: number; standing: number },
  newestDay: number,
): number {
  const age = (newestDay - video.publishedAt) / DAY
  return (
    0.9 * video.clicks +
    1.1 * video.watched +
    0.13 * Math.log10(1 + channel.subscribers) +
    0.3 * channel.standing +
    0.22 * Math.log10(1 + video.views / Math.max(1, age)) +
    0.35 * Math.exp(-age / 45)
  )
}

/** What exact wording is worth in each trade. */
const WORDING: Record<string, number> = {
  bicycle: 0.5,
  jewellery: 0.2,
  riding: 0.35,
  kitchen: 0.05,
  music: 0.15,
  cars: 0.3,
  speaking: 0.4,
}

/** The part of its present views that a video had on a day; 0 before it was published. */
export function viewsBy(day: number, publishedAt: number, lastDay: number): number {
  if (day >= lastDay) return 1
  return publishedAt > day
    ? 0
    : Math.pow(Math.max(1, (day - publishedAt) / DAY) / Math.max(1, (lastDay - publishedAt) / DAY), 0.85)
}

export class Ranking {
  private readonly find: Statement<[string], Hit>
  private readonly countHits: Statement<[string], { n: number }>
  private readonly frequencies = new Map<string, number>()

  constructor(
    db: Database,
    private readonly newestDay: number,
    private readonly lastDay = newestDay,
  ) {
    this.find = db.prepare<[string], Hit>(`
      SELECT v.id, h.score AS bm25, v.title, v.published_at, v.views, v.clicks, v.watched, c.subscribers, c.standing, c.trade
      FROM (SELECT rowid, score FROM (SELECT rowid, rank AS score FROM video_words WHERE video_words MATCH ?
      LIMIT ${WEIGHED}) ORDER BY score LIMIT ${CANDIDATES}) h
      JOIN video v ON v.id = h.rowid JOIN channel c ON c.id = v.channel_id`)
    this.countHits = db.prepare<[string], { n: number }>(
      `SELECT count(*) AS n FROM (SELECT 1 FROM video_words WHERE video_words MATCH ? LIMIT ${COMMON})`,
    )
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
      for (const hit of this.find.all(query))
        if (!hits.has(hit.id))
          hits.set(hit.id, { ...hit, views: hit.views * viewsBy(this.newestDay, hit.published_at, this.lastDay) })
      if (hits.size >= depth + SPARE) break
    }
    const plain = ` ${words.join(' ')} `
    const scored = [...hits.values()]
      .filter(hit => hit.published_at <= this.newestDay)
      .map(hit => {
        const title = ` ${hit.title.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, ' ')} `
        const score =
          0.16 * Math.min(12, -hit.bm25) +
          (title.includes(plain) ? (WORDING[hit.trade] ?? 0.3) : 0) +
          standsFor({ ...hit, publishedAt: hit.published_at }, hit, this.newestDay) +
          0.12 * (hash(`${region ?? ''}${hit.id}`) / 4_294_967_296) +
          0.06 * (hash(`${Math.floor(this.newestDay / DAY)}${hit.id}`) / 4_294_967_296)
        return { id: hit.id, score }
      })
    return scored
      .sort((a, b) => b.score - a.score || a.id - b.id)
      .slice(0, depth)
      .map(hit => hit.id)
  }

  /** All words first; then without the commonest of them, and so on down to the rarest alone; at last any word. */
  private *queries(terms: string[]): Generator<string> {
    const rarest = [...terms].sort((a, b) => this.frequency(a) - this.frequency(b))
    for (let n = rarest.length; n > 0; n--)
      if (this.frequency(rarest[n - 1]!) > 0) yield rarest.slice(0, n).join(' AND ')
    const known = rarest.filter(term => this.frequency(term) > 0)
    if (known.length > 1) yield known.join(' OR ')
  }

  /** In how many videos a term stands; from `COMMON` on all are the same. */
  private frequency(term: string): number {
    let n = this.frequencies.get(term)
    if (n === undefined) this.frequencies.set(term, (n = this.countHits.get(term)!.n))
    return n
  }
}
