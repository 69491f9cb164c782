import type { Database, Statement } from 'better-sqlite3'
import { DAY } from '../../../core/time'
import { hash, seeded } from './chance'
import { MEANT } from './misspellings'
import { viewsOn, type KeptViews } from './views'

/**
 * How the simulated site ranks. This is the site's own business: nothing of the product may
 * read it. Title far above description above tags; exact wording helps, less than the trade
 * believes and differently by trade; what viewers did and who the channel is weigh too.
 */
interface Hit extends KeptViews {
  id: number
  bm25: number
  title: string
  clicks: number
  watched: number
  subscribers: number
  standing: number
  trade: string
}

/** A video with what it scores for a query. */
export interface Scored {
  id: number
  score: number
  /** What of the score does not depend on how the video stands: its words, and its luck. */
  text: number
}

/** The time the site's answers are given at. */
export interface SiteTime {
  /** The day on which the world was made. */
  madeOn: number
  today: () => number
  now: () => number
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

/** Wide bounds: worlds that are nothing like each other, on which forecasts are tried. */
const WIDE: Record<keyof typeof BOUNDS, readonly [number, number]> = {
  text: [0.08, 0.26],
  loose: [0.3, 0.9],
  clicks: [0.4, 1.5],
  watched: [0.4, 1.8],
  subscribers: [0.05, 0.26],
  standing: [0.1, 0.6],
  views: [0.08, 0.36],
  fresh: [0, 0.5],
  fadeDays: [15, 60],
  region: [0.02, 0.2],
  day: [0.01, 0.1],
}
const MOST_WIDE_WORDING = 1

/** The weights of a world. @param wide drawn within the wide bounds. */
export function weightsOf(seed: number, wide = false): Weights {
  const random = seeded(seed ^ 0x5eed)
  const drawn = Object.fromEntries(
    Object.entries(wide ? WIDE : BOUNDS).map(([name, [low, high]]) => [name, low + (high - low) * random()]),
  ) as Record<keyof typeof BOUNDS, number>
  const most = wide ? MOST_WIDE_WORDING : MOST_WORDING
  return { ...drawn, wording: trade => most * seeded(hash(trade) ^ seed)() }
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
const BY_YOUTH = 200
/** Candidates beyond the asked depth with which a looser query is not tried. */
const SPARE = 15
/** A word in this many videos is common, and counting further tells nothing. */
const COMMON = 20_000
const STOPS = new Set(
  'a an the to how do you in on for of with and is are can when vs best your my i it der die das ein eine einen und mit'.split(
    ' ',
  ),
)

export class Ranking {
  private readonly byText: Statement<[string, string, number], Hit>
  private readonly byStanding: Statement<[string, string, number], Hit>
  private readonly byYouth: Statement<[string, number, string, number], Hit>
  private readonly countHits: Statement<[string], { n: number }>
  private readonly countFirst: Statement<[string], { n: number }>
  private readonly newestId: Statement<[], number>
  private readonly frequencies = new Map<string, number>()
  readonly weights: Weights
  /** The last video that was there when the world was made. */
  private readonly firstOnes: number
  /** The last video there is now. */
  private lastOne = 0

  constructor(
    db: Database,
    seed: number,
    private readonly time: SiteTime,
    wide = false,
  ) {
    this.weights = weightsOf(seed, wide)
    const weighed = (found: string) => `
      SELECT v.id, h.score AS bm25, v.title, v.published_at, v.views, v.live, v.gained, v.gain,
        v.gain_on, v.clicks, v.watched, c.subscribers, c.standing, c.trade
      FROM (${found}) h JOIN video v ON v.id = h.rowid JOIN channel c ON c.id = v.channel_id
      WHERE v.language = ? AND v.published_at <= ? AND v.shown = 1`
    this.byText = db.prepare(
      weighed(`SELECT rowid, rank AS score FROM video_words WHERE video_words MATCH ? ORDER BY rank LIMIT ${BY_TEXT}`),
    )
    // Videos are numbered by how well they stand whatever is searched: the first hits are the best-standing ones.
    this.byStanding = db.prepare(
      weighed(`SELECT rowid, rank AS score FROM video_words WHERE video_words MATCH ? LIMIT ${BY_STANDING}`),
    )
    // Those that came later are numbered as they came.
    this.byYouth = db.prepare(
      weighed(
        `SELECT rowid, rank AS score FROM video_words WHERE video_words MATCH ? AND rowid > ? ORDER BY rowid DESC
          LIMIT ${BY_YOUTH}`,
      ),
    )
    const counted = (most: number) =>
      db.prepare<[string], { n: number }>(
        `SELECT count(*) AS n FROM (SELECT 1 FROM video_words WHERE video_words MATCH ? LIMIT ${most})`,
      )
    this.countHits = counted(COMMON)
    this.countFirst = counted(BY_TEXT)
    this.newestId = db.prepare<[], number>('SELECT max(id) FROM video').pluck()
    this.firstOnes = Number(db.prepare("SELECT value FROM fact WHERE name = 'videos'").pluck().get() ?? Infinity)
    this.changed()
  }

  /** Video ids, best first. @param language BCP 47: only videos in it are shown. */
  rank(phrase: string, region: string | null, language: string, depth: number): number[] {
    return this.scored(phrase, region, language, depth)
      .slice(0, depth)
      .map(hit => hit.id)
  }

  /**
   * Every candidate for a query, best first.
   *
   * @param depth as many are looked for at least, if there are so many.
   * @param at the day whose order is asked for, and the time until which videos are there.
   */
  scored(
    phrase: string,
    region: string | null,
    language: string,
    depth: number,
    { today, now } = { today: this.time.today(), now: this.time.now() },
  ): Scored[] {
    const words = phrase.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []
    const content = words.filter(word => !STOPS.has(word))
    const asked = (content.length ? content : words).slice(0, 12)
    if (!asked.length) return []
    const term = (word: string) => {
      const right = MEANT.get(word)
      return right ? `("${word}" OR "${right}")` : `"${word}"`
    }
    const hits = new Map<number, { hit: Hit; loosened: number }>()
    let loosened = 0
    for (const query of this.queries(asked.map(term))) {
      const found = this.byText.all(query, language, now)
      // Where there are fewer, the best by their text are all there are.
      if (this.countFirst.get(query)!.n === BY_TEXT) {
        found.push(...this.byStanding.all(query, language, now))
        if (this.lastOne > this.firstOnes) found.push(...this.byYouth.all(query, this.firstOnes, language, now))
      }
      for (const hit of found) if (!hits.has(hit.id)) hits.set(hit.id, { hit, loosened })
      if (hits.size >= depth + SPARE) break
      loosened++
    }
    const plain = ` ${words.join(' ')} `
    const saysSo = (title: string) =>
      words.every(word => title.includes(word)) && ` ${title.replace(/[^\p{L}\p{N}]+/gu, ' ')} `.includes(plain)
    const { weights } = this
    return [...hits.values()]
      .map(({ hit, loosened }) => {
        const text =
          weights.text * Math.min(12, -hit.bm25) -
          weights.loose * loosened +
          (saysSo(hit.title.toLowerCase()) ? weights.wording(hit.trade) : 0) +
          weights.region * (hash(`${region ?? ''}${hit.id}`) / 4_294_967_296) +
          weights.day * (hash(`${Math.floor(today / DAY)}${hit.id}`) / 4_294_967_296)
        const { published_at: publishedAt, clicks, watched } = hit
        const views = viewsOn(hit, today, this.time.madeOn)
        return {
          id: hit.id,
          text,
          score: text + standsFor(weights, { publishedAt, views, clicks, watched }, hit, today),
        }
      })
      .sort((a, b) => b.score - a.score || a.id - b.id)
  }

  /** To be called after videos came or changed: how common a word is, is counted anew. */
  changed(): void {
    this.frequencies.clear()
    this.lastOne = this.newestId.get() ?? 0
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
