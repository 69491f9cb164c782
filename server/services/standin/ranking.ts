import type { Database, Statement } from 'better-sqlite3'
import { DAY } from '../../../core/time'
import { hash, seeded } from './chance'
import { MEANT } from './misspellings'

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

/** What each thing weighs. Drawn from the world's seed, so that nobody can know it from the code alone. */
export interface Weights {
  text: number
  /** What it costs that a query had to be loosened once more to find it. */
  loose: number
  clicks: number
  watched: number
  subscribers: number
  standing: number
  views: number
  /** What youth brings on the first day, and in how many days it fades. */
  fresh: number
  fadeDays: number
  region: number
  day: number
  /** What exact wording is worth in a trade. */
  wording: (trade: string) => number
}

/** The bounds of what is drawn: lowest and highest. */
const BOUNDS = {
  text: [0.13, 0.19],
  loose: [0.4, 0.7],
  clicks: [0.7, 1.1],
  watched: [0.9, 1.3],
  subscribers: [0.1, 0.16],
  standing: [0.2, 0.4],
  views: [0.17, 0.25],
  fresh: [0.06, 0.14],
  fadeDays: [20, 40],
  region: [0.08, 0.14],
  day: [0.03, 0.06],
} as const
/** Exact wording is worth between nothing and half a point, by trade. */
const MOST_WORDING = 0.5

/** The weights of a world. */
export function weightsOf(seed: number): Weights {
  const random = seeded(seed ^ 0x5eed)
  const drawn = Object.fromEntries(
    Object.entries(BOUNDS).map(([name, [low, high]]) => [name, low + (high - low) * random()]),
  ) as Record<keyof typeof BOUNDS, number>
  return { ...drawn, wording: trade => MOST_WORDING * seeded(hash(trade) ^ seed)() }
}

/** What does not depend on the words searched: what viewers did, who the channel is, how it goes now. */
export function standsFor(
  weights: Weights,
  video: { publishedAt: number; views: number; clicks: number; watched: number },
  channel: { subscribers: number; standing: number },
  newestDay: number,
): number {
  const age = Math.max(0, newestDay - video.publishedAt) / DAY
  return (
    weights.clicks * video.clicks +
    weights.watched * video.watched +
    weights.subscribers * Math.log10(1 + channel.subscribers) +
    weights.standing * channel.standing +
    weights.views * Math.log10(1 + video.views / Math.max(1, age)) +
    weights.fresh * Math.exp(-age / weights.fadeDays)
  )
}

/** The best by their text, and the best by how they stand, are weighed in full. Any video can be among the first. */
const BY_TEXT = 200
const BY_STANDING = 200
/** Candidates beyond the asked depth with which a looser query is not tried. */
const SPARE = 15
/** A word in this many videos is common, and counting further tells nothing. */
const COMMON = 20_000
const STOPS = new Set(
  'a an the to how do you in on for of with and is are can when vs best your my i it der die das ein eine einen und mit'.split(
    ' ',
  ),
)

/** How views grow with age: slower and slower. */
const GROWING = 0.85

/**
 * What the views of the day on which the world was made become by another day: less before it, more after it, none
 * before the video was published.
 */
export function viewsBy(day: number, publishedAt: number, madeOn: number): number {
  if (publishedAt > day) return 0
  const age = (at: number) => Math.max(1, (at - publishedAt) / DAY)
  return Math.pow(age(day) / age(madeOn), GROWING)
}

export class Ranking {
  private readonly byText: Statement<[string, string], Hit>
  private readonly byStanding: Statement<[string, string], Hit>
  private readonly countHits: Statement<[string], { n: number }>
  private readonly frequencies = new Map<string, number>()
  private readonly weights: Weights

  /** @param madeOn the day on which the world was made. @param today the day its clock stands at. */
  constructor(
    db: Database,
    seed: number,
    private readonly madeOn: number,
    private readonly today: () => number = () => madeOn,
  ) {
    this.weights = weightsOf(seed)
    const weighed = (found: string) => `
      SELECT v.id, h.score AS bm25, v.title, v.published_at, v.views, v.clicks, v.watched, c.subscribers, c.standing, c.trade
      FROM (${found}) h JOIN video v ON v.id = h.rowid JOIN channel c ON c.id = v.channel_id WHERE v.language = ?`
    this.byText = db.prepare<[string, string], Hit>(
      weighed(`SELECT rowid, rank AS score FROM video_words WHERE video_words MATCH ? ORDER BY rank LIMIT ${BY_TEXT}`),
    )
    // Videos are numbered by how well they stand whatever is searched: the first hits are the best-standing ones.
    this.byStanding = db.prepare<[string, string], Hit>(
      weighed(`SELECT rowid, rank AS score FROM video_words WHERE video_words MATCH ? LIMIT ${BY_STANDING}`),
    )
    this.countHits = db.prepare<[string], { n: number }>(
      `SELECT count(*) AS n FROM (SELECT 1 FROM video_words WHERE video_words MATCH ? LIMIT ${COMMON})`,
    )
  }

  /** Video ids, best first. @param language BCP 47: only videos in it are shown. */
  rank(phrase: string, region: string | null, language: string, depth: number): number[] {
    const words = phrase.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []
    const content = words.filter(word => !STOPS.has(word))
    const asked = (content.length ? content : words).slice(0, 12)
    if (!asked.length) return []
    const term = (word: string) => {
      const right = MEANT.get(word)
      return right ? `("${word}" OR "${right}")` : `"${word}"`
    }
    const today = this.today()
    const hits = new Map<number, Hit & { loosened: number }>()
    let loosened = 0
    for (const query of this.queries(asked.map(term))) {
      for (const find of [this.byText, this.byStanding])
        for (const hit of find.all(query, language))
          if (!hits.has(hit.id))
            hits.set(hit.id, { ...hit, loosened, views: hit.views * viewsBy(today, hit.published_at, this.madeOn) })
      if (hits.size >= depth + SPARE) break
      loosened++
    }
    const plain = ` ${words.join(' ')} `
    const { weights } = this
    const scored = [...hits.values()]
      .filter(hit => hit.published_at <= today)
      .map(hit => {
        const title = ` ${hit.title.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, ' ')} `
        const score =
          weights.text * Math.min(12, -hit.bm25) -
          weights.loose * hit.loosened +
          (title.includes(plain) ? weights.wording(hit.trade) : 0) +
          standsFor(weights, { ...hit, publishedAt: hit.published_at }, hit, today) +
          weights.region * (hash(`${region ?? ''}${hit.id}`) / 4_294_967_296) +
          weights.day * (hash(`${Math.floor(today / DAY)}${hit.id}`) / 4_294_967_296)
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
