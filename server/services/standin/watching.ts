import { DAY } from '../../../core/time'
import { byChance, FLOWS, formulaDays, luckOf, type Flows } from './formulaDays'
import { dislikesOf } from './videos'
import type { OpenWorld } from './openWorld'
import { standsFor } from './ranking'
import { searchesOn, type SeriesRow } from './series'
import { clicksAt, likedBy, viewersOf } from './viewers'
import { showsVideos } from './webSearch'

/** A search looks at a page again after so many days; between them only the live videos move on it. */
const PAGE_DAYS = 28
/** As many places of a page are looked at. */
const PLACES = 60
/** At most so many searches are followed for a video, the most searched ones of those its words answer. */
const AIMS = 24
/** Searches that share a word with a title, looked through for those that its text answers. */
const LOOKED_THROUGH = 400
const DAYS_A_MONTH = 30.4
/** Of a large following a smaller part comes: the part that does falls with this power of how many subscribe. */
const FOLLOWING = { usual: 4870, falls: 0.5 } as const
/** Beside other videos about the same, a video gets so many views a day for a power of the searches a month. */
const BESIDE = { views: 0.12, power: 0.42 } as const

interface AimRow extends SeriesRow {
  phrase_id: number
  aim_text: number | null
}
export interface LiveRow {
  id: number
  code: string
  channel_id: number
  language: string
  title: string
  description: string
  tags: string
  published_at: number
  seconds: number
  views: number
  clicks: number
  watched: number
  gain: number
  subscribers: number
  standing: number
  /** What it had by the formula before it was changed, and what its words brought then; `null` for a new one. */
  views_before: number
  before: string | null
}
/** How a video did before it was changed, and what its words, standing and clicks brought. */
export interface Before {
  clicks: number
  watched: number
  flows: Flows
  /** Views a day that it gathered beside its curve. Absent in worlds from before any did. */
  gain?: number
}

/** The day-by-day life of live videos: where they stand, and who watches them. */
export class Watching {
  private readonly viewers
  private readonly q

  constructor(private readonly world: OpenWorld) {
    this.viewers = viewersOf(world.seed)
    const { db } = world
    this.q = {
      live: db.prepare<[number], LiveRow>(
        `SELECT v.id, v.code, v.channel_id, v.language, v.title, v.description, v.tags, v.published_at, v.seconds, v.views, v.clicks, v.watched, v.gain,
          c.subscribers, c.standing, l.views_before, l.before FROM live l JOIN video v ON v.id = l.video_id JOIN channel c ON c.id = v.channel_id
          WHERE v.published_at < ? AND v.shown = 1 ORDER BY v.id`,
      ),
      one: db.prepare<[number], LiveRow>(
        `SELECT v.id, v.code, v.channel_id, v.language, v.title, v.description, v.tags, v.published_at, v.seconds, v.views, v.clicks, v.watched, v.gain,
          c.subscribers, c.standing, 0 AS views_before, NULL AS before FROM video v JOIN channel c ON c.id = v.channel_id WHERE v.id = ?`,
      ),
      aims: db.prepare<[number], AimRow>(
        'SELECT a.phrase_id, a.text AS aim_text, p.* FROM aim a JOIN phrase p ON p.id = a.phrase_id WHERE a.video_id = ? ORDER BY p.id',
      ),
      sharing: db.prepare<[string, string], { id: number; text: string }>(
        `SELECT p.id, p.text FROM phrase_words w JOIN phrase p ON p.id = w.rowid WHERE phrase_words MATCH ? AND p.language = ?
          ORDER BY w.rowid LIMIT ${LOOKED_THROUGH}`,
      ),
      dropAims: db.prepare('DELETE FROM aim WHERE video_id = ?'),
      addAim: db.prepare('INSERT INTO aim (video_id, phrase_id, text) VALUES (?, ?, NULL)'),
      setAims: db.prepare('UPDATE aim SET text = ? WHERE phrase_id = ? AND video_id = ?'),
      aimedAt: db.prepare<[number], number>('SELECT video_id FROM aim WHERE phrase_id = ?').pluck(),
      page: db.prepare<[number], { day: number; scores: Buffer }>(
        'SELECT day, scores FROM page_scores WHERE phrase_id = ?',
      ),
      setPage: db.prepare('INSERT OR REPLACE INTO page_scores VALUES (?, ?, ?)'),
      dropPage: db.prepare('DELETE FROM page_scores WHERE phrase_id = ?'),
      figures: db.prepare('INSERT OR REPLACE INTO day_figures VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)'),
      watched: db.prepare(
        'UPDATE video SET views = views + ?, likes = likes + ?, comments = comments + ?, dislikes = ? WHERE id = ?',
      ),
      subscribed: db.prepare('UPDATE channel SET subscribers = subscribers + ? WHERE id = ?'),
    }
  }

  /** Finds the searches a video's text answers; to be called when it becomes live and when its text changes. */
  aim({ id, language, title, description, tags }: Pick<LiveRow, 'id' | 'language' | 'title' | 'description' | 'tags'>) {
    const words = (text: string) => text.toLowerCase().match(/[\p{L}\p{N}]{2,}/gu) ?? []
    const stem = (word: string) => word.slice(0, 6).replace(/e?s$/u, '')
    const first = description.slice(0, 300)
    const held = new Set(
      [...words(title), ...words(first), ...words((JSON.parse(tags) as string[]).join(' '))].map(stem),
    )
    const asked = [...new Set(words(title).filter(word => word.length > 3))].slice(0, 12)
    for (const phrase of this.q.aimedAt.all(id)) this.q.dropPage.run(phrase)
    this.q.dropAims.run(id)
    if (!asked.length) return
    let aims = 0
    for (const { id: phrase, text } of this.q.sharing.all(asked.map(word => `"${word}"`).join(' OR '), language)) {
      if (!words(text).every(word => held.has(stem(word)))) continue
      this.q.addAim.run(id, phrase)
      this.q.dropPage.run(phrase)
      if (++aims === AIMS) break
    }
  }

  /** All live videos live through a day. @param day its UTC midnight. */
  live(day: number): void {
    for (const video of this.q.live.all(day + DAY)) this.watch(video, day)
  }

  /** What a video's words bring on a day; to be asked before it is changed. */
  before(id: number, day: number): Before {
    const video = this.q.one.get(id)!
    this.aim(video)
    return { clicks: video.clicks, watched: video.watched, flows: this.flows(video, day), gain: video.gain }
  }

  private flows(video: LiveRow, day: number): Flows {
    const { told, lasting, suggested } = this.viewers
    const age = Math.max(0, day - video.published_at) / DAY
    const liked = likedBy(video.clicks)
    let impressions = 0
    let search = 0
    let web = 0
    let most = 0
    for (const aim of this.q.aims.all(video.id)) {
      const searches = searchesOn(aim, day, this.world.clock.madeOn)
      most = Math.max(most, searches)
      const rank = this.rankOf(video, aim, day)
      if (rank === null) continue
      impressions += searches * Math.pow(rank, -0.7)
      const clicks = clicksAt(this.viewers, searches, rank, video.clicks)
      search += clicks
      if (rank <= 10 && showsVideos(aim.text)) web += 0.08 * clicks
    }
    const follow = video.subscribers * Math.pow((1 + video.subscribers) / (1 + FOLLOWING.usual), -FOLLOWING.falls)
    const news = follow * told * Math.exp(-age / lasting) * liked + follow * 0.0001 * liked
    const beside = BESIDE.views * Math.pow(DAYS_A_MONTH * most, BESIDE.power)
    const near =
      ((search + news) * suggested + beside * liked) * (video.watched / 0.45) + (0.0015 * video.views) / (1 + age / 30)
    return {
      impressions: Math.max(search + near + news, impressions + 14 * near + 5 * news),
      ...{ search, suggested: near, subscribers: news, web, elsewhere: 0.03 * (search + news + near) },
    }
  }

  /**
   * What a day brings a video. One that was changed goes on as by its formula, but for what the change did: the part
   * that its words explain is what they bring now, the rest moves with how many click.
   */
  private expected(video: LiveRow, day: number): Flows {
    const now = this.flows(video, day)
    if (video.before === null) return now
    const before = JSON.parse(video.before) as Before
    const formula = { ...video, views: video.views_before, clicks: before.clicks }
    const usual = formulaDays(formula, this.world.clock.madeOn, () => before.gain ?? 0)(day)
    const liked = likedBy(video.clicks) / likedBy(before.clicks)
    const flow = (name: keyof Flows) => {
      const explained = before.flows[name]
      const share = explained > 0 ? Math.min(1, usual[name] / explained) : 1
      const rest = Math.max(0, usual[name] - explained)
      return now[name] * share + rest * (name === 'impressions' ? 1 : liked)
    }
    return Object.fromEntries(FLOWS.map(name => [name, flow(name)])) as unknown as Flows
  }

  private watch(video: LiveRow, day: number): void {
    const luck = luckOf(video.code, day, this.world.seed)
    const came = byChance(this.expected(video, day), luck)
    const clicked = came.search + came.suggested + came.subscribers
    const total = clicked + came.web + came.elsewhere
    const seconds = Math.round(total * video.seconds * video.watched * (0.95 + 0.1 * luck()))
    const { impressions, search, suggested, subscribers, web, elsewhere } = came
    const row = [video.id, day, impressions, clicked, search, suggested, subscribers, web, elsewhere, seconds]
    this.q.figures.run(row)
    this.q.watched.run(
      total,
      Math.floor(0.03 * total + luck()),
      Math.floor(0.003 * total + luck()),
      dislikesOf(video.views + total, video.watched),
      video.id,
    )
    this.q.subscribed.run(Math.floor(this.viewers.subscribe * total + luck()), video.channel_id)
  }

  /** Where a video stands for a search on a day; `null` where it is not among the first ones. */
  private rankOf(video: LiveRow, aim: AimRow, day: number): number | null {
    let page = this.q.page.get(aim.phrase_id)
    let { aim_text: text } = aim
    if (!page || day - page.day >= PAGE_DAYS * DAY) {
      const scored = this.world.ranking.scored(aim.text, null, video.language, PLACES, { today: day, now: day + DAY })
      const aiming = new Set(this.q.aimedAt.all(aim.phrase_id))
      for (const id of aiming) this.q.setAims.run(scored.find(each => each.id === id)?.text ?? null, aim.phrase_id, id)
      text = scored.find(each => each.id === video.id)?.text ?? null
      const others = scored.filter(each => !aiming.has(each.id)).slice(0, PLACES)
      const scores = Buffer.from(Float64Array.from(others, each => each.score).buffer)
      this.q.setPage.run(aim.phrase_id, day, scores)
      page = { day, scores }
    }
    if (text === null) return null
    const score =
      text + standsFor(this.world.ranking.weights, { ...video, publishedAt: video.published_at }, video, day)
    const scores = new Float64Array(new Uint8Array(page.scores).buffer)
    let rank = 1
    while (rank <= scores.length && scores[rank - 1]! > score) rank++
    return rank <= PLACES ? rank : null
  }
}
