import { copyFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { deviation, mean } from 'd3-array'
import { PAGE_SEATS } from '../../core/rivals/difficulty'
import { DAY } from '../../core/time'
import { seeded } from '../../core/random'
import type { SiteChannel, SiteVideo, VideoDraft } from '../../server/services/contract'
import { CHANNEL_RIGHTS } from '../../server/services/contract'
import { siteActs } from '../../server/services/standin/siteActs'
import { answering } from '../../server/services/standin/answering'
import { Behaviour } from '../../server/services/standin/behaviour'
import { hash } from '../../server/services/standin/chance'
import { Days } from '../../server/services/standin/days'
import { openWorld, type OpenWorld } from '../../server/services/standin/openWorld'
import type { Weights } from '../../server/services/standin/ranking'
import { siteReads } from '../../server/services/standin/siteReads'
import { viewersOf } from '../../server/services/standin/viewers'
import { makeWorld, type WorldSize } from '../../server/services/standin/world'
import { SHEET } from '../../tests/unit/server/services/acting'
import { draftFor, type Wording, WORDINGS } from './wording'

/** What is tried in one world. */
export interface TrialSize {
  world: WorldSize
  /** Phrases of the main trade, and of others, that videos are made for; their pages are kept. */
  phrases: number
  /** Further phrases of each whose pages are kept. */
  alsoKept: number
  channels: number
  videos: number
  /** Copies of the world the videos are shared out to, so that they hardly meet each other. */
  lots: number
}
export const TRIAL: TrialSize = {
  world: { phrases: 5_000, videos: 12_000, channels: 500 },
  phrases: 300,
  alsoKept: 450,
  channels: 40,
  videos: 2_000,
  lots: 10,
}
export const DAYS_AFTER = 28

/** What the site knows and nobody else: for the oracles alone. */
export interface Hidden {
  /** What its words bring, without its luck; `null` where the site does not find it at all. */
  text: number | null
  /** What of the other videos' scores can be seen, by rank. */
  seen: number[]
  /** The score of the twentieth of them; −Infinity where there are fewer. */
  bar: number
  viewsPerDay: number
}
export interface Attempt {
  channel: string
  phrase: string
  wording: Wording
  draft: Pick<VideoDraft, 'title' | 'description' | 'tags'>
  /** Where it stands after 28 days; `null` beyond sixty. */
  rank: number | null
  hidden: Hidden
}
export interface TrialPage {
  phrase: string
  trade: string
  /** Searches a month. */
  volume: number
  titleMatches: number | null
  videos: SiteVideo[]
}
export interface TrialChannel {
  channel: SiteChannel
  trade: string
  standing: number
  subscribers: number
  videos: SiteVideo[]
}
export interface Trial {
  seed: number
  at: number
  weights: Omit<Weights, 'wording'>
  /** What viewers think of videos and the site of channels, as a part of scores: mean and standard deviation. */
  unseen: { mean: number; deviation: number }
  /** The part of searchers that clicks the first result, and how fast that falls with the rank. */
  searchers: { first: number; fall: number }
  /** Of the phrases that videos are made for. */
  pages: TrialPage[]
  alsoKept: TrialPage[]
  channels: TrialChannel[]
  attempts: Attempt[]
}

/** Results looked at for a rank, and compared with by an oracle. */
const LOOKED_AT = 60
const COMPARED = 700
export const MADE_ON = Date.UTC(2026, 10, 1)
const MAIN = 'bicycle'
const EMPTY: Omit<VideoDraft, 'title' | 'description' | 'tags'> = {
  language: 'en',
  thumbnail: null,
  captions: null,
  sheet: SHEET,
  cards: [],
  endScreen: null,
  playlists: [],
}

export interface Opened {
  world: OpenWorld
  days: Days
  site: ReturnType<typeof siteReads> & ReturnType<typeof siteActs>
  setTime: (at: number) => void
}
/** Opens a copy of a world, with its time in hand. */
export function open(file: string): Opened {
  let now = MADE_ON
  const world = openWorld(file, () => now)
  world.db.pragma('synchronous = OFF')
  const how = answering(new Behaviour(), world.clock)
  const days = new Days(world)
  return {
    world,
    days,
    site: { ...siteReads(world, how), ...siteActs(world, how, days) },
    setTime: at => (now = at),
  }
}

interface PhraseRow {
  text: string
  trade: string
  base: number
}

/** Makes a world with hidden weights drawn within wide bounds, publishes in it, and looks 28 days later. */
export async function makeTrial(seed: number, dir: string, size = TRIAL): Promise<Trial> {
  const file = join(dir, `forecast-${seed}.sqlite`)
  rmSync(file, { force: true })
  makeWorld(file, size.world, seed, MADE_ON, () => undefined, true)
  const random = seeded(seed ^ 0xf0ca)
  const { world, site } = open(file)
  const { db } = world

  const phrases = db
    .prepare<[], PhraseRow>("SELECT text, trade, base FROM phrase WHERE language = 'en' AND text NOT LIKE '%,%'")
    .all()
  const groups = [phrases.filter(each => each.trade === MAIN), phrases.filter(each => each.trade !== MAIN)].map(group =>
    sample(group, size.phrases + size.alsoKept, random),
  )
  const look = async (rows: readonly PhraseRow[]) => {
    const found: TrialPage[] = []
    for (const { text, trade, base } of rows)
      found.push({ phrase: text, trade, volume: base, ...(await site.search(text, null, 'en', 20)).data })
    return found
  }
  const pages = await look(groups.flatMap(group => group.slice(0, size.phrases)))
  const alsoKept = await look(groups.flatMap(group => group.slice(size.phrases)))
  const channels = await chooseChannels(world, site, size.channels)
  const unseen = unseenOf(world)
  db.close()

  // Every phrase of the main trade is tried once in full; the rest is drawn.
  const plans: Omit<Attempt, 'rank' | 'hidden'>[] = []
  const byTrade = new Map<string, TrialPage[]>()
  for (const page of pages) byTrade.set(page.trade, [...(byTrade.get(page.trade) ?? []), page])
  const pick = <Value>(list: readonly Value[]): Value => list[Math.floor(random() * list.length)]!
  const plan = (channel: TrialChannel, page: TrialPage, wording: Wording) =>
    plans.push({
      channel: channel.channel.id,
      phrase: page.phrase,
      wording,
      draft: draftFor(page.phrase, wording, random),
    })
  const main = channels.filter(each => each.trade === MAIN)
  byTrade.get(MAIN)!.forEach((page, i) => plan(main[i % main.length]!, page, 'full'))
  for (let i = plans.length; i < size.videos; i++) {
    const channel = channels[i % channels.length]!
    plan(channel, pick(byTrade.get(channel.trade)!), random() < 0.5 ? 'full' : pick(WORDINGS))
  }
  const attempts: Attempt[] = []
  // Whoever publishes twice for one phrase does so in different lots.
  const lots = Array.from({ length: size.lots }, (_, lot) =>
    plans.filter((_, i) => Math.floor((i * size.lots) / plans.length) === lot),
  )
  for (const lot of lots) {
    const copy = join(dir, `forecast-${seed}-lot.sqlite`)
    for (const end of ['', '-wal', '-shm']) rmSync(copy + end, { force: true })
    copyFileSync(file, copy)
    attempts.push(...(await publishLot(copy, lot)))
    for (const end of ['', '-wal', '-shm']) rmSync(copy + end, { force: true })
  }
  for (const end of ['', '-wal', '-shm']) rmSync(file + end, { force: true })
  const { first, fall } = viewersOf(seed)
  return {
    seed,
    at: MADE_ON,
    weights: world.ranking.weights,
    unseen,
    searchers: { first, fall },
    pages,
    alsoKept,
    channels,
    attempts,
  }
}

/** Weighted towards what is searched, without repeats. */
function sample(list: readonly PhraseRow[], count: number, random: () => number): PhraseRow[] {
  return list
    .map(row => ({ row, key: Math.pow(random(), 1 / Math.pow(row.base, 0.5)) }))
    .sort((a, b) => b.key - a.key)
    .slice(0, count)
    .map(({ row }) => row)
}

/** Channels of ten subscribers to a million, half of them of the main trade. */
async function chooseChannels(world: OpenWorld, site: Opened['site'], count: number): Promise<TrialChannel[]> {
  const rows = world.db
    .prepare<[], { id: number; code: string; trade: string; subscribers: number; standing: number }>(
      `SELECT * FROM channel WHERE id > 1 AND hidden = 0
        AND EXISTS (SELECT 1 FROM video WHERE channel_id = channel.id AND language = 'en')`,
    )
    .all()
  const chosen = new Map<number, (typeof rows)[number]>()
  for (let i = 0; i < count; i++) {
    const wanted = 1 + (5 * Math.floor(i / 2)) / (count / 2 - 1)
    const left = rows.filter(row => !chosen.has(row.id) && (row.trade === MAIN) === (i % 2 === 0))
    const best = left.reduce((a, b) =>
      Math.abs(Math.log10(a.subscribers) - wanted) <= Math.abs(Math.log10(b.subscribers) - wanted) ? a : b,
    )
    chosen.set(best.id, best)
  }
  const own = world.db.prepare('INSERT OR REPLACE INTO owner VALUES (?, 1, ?)')
  const list: TrialChannel[] = []
  for (const row of chosen.values()) {
    own.run(row.id, JSON.stringify(CHANNEL_RIGHTS))
    list.push({
      channel: (await site.channel(row.code, 'en')).data!,
      trade: row.trade,
      standing: row.standing,
      subscribers: row.subscribers,
      videos: (await site.channelVideos(row.code, 'en')).data,
    })
  }
  return list
}

/** What of scores cannot be seen: how viewers like videos, and what the site thinks of channels. */
function unseenOf({ db, ranking: { weights } }: OpenWorld): Trial['unseen'] {
  const parts = db
    .prepare<[number, number, number], number>(
      `SELECT ? * v.clicks + ? * v.watched + ? * c.standing FROM video v JOIN channel c ON c.id = v.channel_id
        WHERE v.language = 'en'`,
    )
    .pluck()
    .all(weights.clicks, weights.watched, weights.standing)
  return { mean: mean(parts)!, deviation: Math.hypot(deviation(parts)!, luckOf(weights)) }
}

/** How far chance moves a score: what a region and a day like. */
const luckOf = ({ region, day }: Pick<Weights, 'region' | 'day'>) => Math.sqrt((region ** 2 + day ** 2) / 12)

interface Row {
  id: number
  views: number
  unseen: number
}

/** Publishes in a copy of the world, lets 28 days pass, and looks. */
async function publishLot(file: string, lot: readonly Omit<Attempt, 'rank' | 'hidden'>[]): Promise<Attempt[]> {
  const { world, days, site, setTime } = open(file)
  const { weights } = world.ranking
  const ids: string[] = []
  for (const [n, { channel, draft }] of lot.entries()) {
    const upload = await site.startUpload(`up-${n}`, channel, { name: 'film.mp4', bytes: 3, seconds: 360 })
    if (!upload.data.upload) throw new Error(upload.data.problems[0]!.message)
    await site.sendPart(upload.data.upload.id, 0, 'AAAA')
    const { data } = await site.publish(`pub-${n}`, upload.data.upload.id, { ...EMPTY, ...draft }, null)
    if (!data.id) throw new Error(`${data.problems[0]!.message} ${JSON.stringify(draft)}`)
    ids.push(data.id)
  }
  setTime(MADE_ON + DAYS_AFTER * DAY)
  days.catchUp()
  const row = world.db.prepare<[string], Row>('SELECT id, views, 0 AS unseen FROM video WHERE code = ?')
  const unseen = world.db
    .prepare<[number, number, number, number], number>(
      `SELECT ? * v.clicks + ? * v.watched + ? * c.standing FROM video v JOIN channel c ON c.id = v.channel_id
        WHERE v.id = ?`,
    )
    .pluck()
  const videos = ids.map(code => row.get(code)!)
  const published = new Set(videos.map(video => video.id))
  const today = world.clock.today()
  const lucky = (id: number) => {
    const part = (weight: number, key: string) => weight * (hash(`${key}${id}`) / 4_294_967_296 - 0.5)
    return part(weights.region, '') + part(weights.day, String(Math.floor(today / DAY)))
  }
  const found = lot.map((attempt, n): Attempt => {
    const { id, views } = videos[n]!
    const scored = world.ranking.scored(attempt.phrase, null, 'en', LOOKED_AT)
    const at = scored.findIndex(each => each.id === id)
    const others = scored.filter(each => !published.has(each.id))
    return {
      ...attempt,
      rank: at < 0 || at >= LOOKED_AT ? null : at + 1,
      hidden: {
        text: at < 0 ? null : scored[at]!.text - lucky(id),
        seen: others.slice(0, COMPARED).map(({ id: other, score }) => {
          const part = unseen.get(weights.clicks, weights.watched, weights.standing, other)!
          return score - part - lucky(other)
        }),
        bar: others[PAGE_SEATS - 1]?.score ?? -Infinity,
        viewsPerDay: views / DAYS_AFTER,
      },
    }
  })
  world.db.close()
  return found
}
