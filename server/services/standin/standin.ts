import { DAY } from '../../../core/time'
import Database from 'better-sqlite3'
import type { Answer, Region, SearchAnswer, Services, SiteChannel, SiteVideo, VolumeAnswer } from '../contract'
import { Behaviour } from './behaviour'
import { hash } from './chance'
import { Ranking, viewsBy } from './ranking'
import { thumbnail } from './thumbnail'
import { monthSeries, type SeriesRow } from './series'
import { COUNTRIES } from './places'

interface PhraseRow extends SeriesRow {
  id: number
  trade: string
  part: string
}
interface VideoRow {
  code: string
  title: string
  description: string
  tags: string
  views: number
  likes: number
  comments: number
  published_at: number
  seconds: number
  channel_code: string
  channel_title: string
  subscribers: number
  hidden: number
  palette: number
}

/** A service tells no more related phrases than this, as real ones do. */
const RELATED_LIMIT = 1500
const SUGGESTIONS = 12

/** A video this young can be trending, and so many are listed. */
const TREND_DAYS = 45
const TRENDS = 40

/**
 * Opens the simulated services over a world's file, read only.
 * @param daysBack how many days before its newest the world's clock stands: videos published since are not there yet,
 * the others had fewer views.
 */
export function openStandin(file: string, behaviour = new Behaviour(), daysBack = 0): Services & { close: () => void } {
  const db = new Database(file, { readonly: true, fileMustExist: true })
  const lastDay = Number(
    db.prepare<[], { value: string }>("SELECT value FROM fact WHERE name = 'newestDay'").get()!.value,
  )
  const newestDay = lastDay - daysBack * DAY
  const day = new Date(newestDay)
  const lastMonth = day.getUTCFullYear() * 12 + day.getUTCMonth() - 1
  const monthsEnd = `${Math.floor(lastMonth / 12)}-${String((lastMonth % 12) + 1).padStart(2, '0')}`
  const ranking = new Ranking(db, newestDay, lastDay)

  const byText = db.prepare<[string], PhraseRow>('SELECT * FROM phrase WHERE text = ?')
  const beginning = db.prepare<[string], { text: string }>(
    `SELECT p.text FROM phrase_words w JOIN phrase p ON p.id = w.rowid WHERE phrase_words MATCH ? ORDER BY w.rowid
      LIMIT 60`,
  )
  const holding = db.prepare<[string], { text: string }>(
    `SELECT p.text FROM phrase_words w JOIN phrase p ON p.id = w.rowid WHERE phrase_words MATCH ? ORDER BY w.rowid
      LIMIT ${RELATED_LIMIT}`,
  )
  const sameParts = db.prepare<[string, string, number], { text: string }>(
    'SELECT text FROM phrase WHERE trade = ? AND part = ? ORDER BY id LIMIT ?',
  )
  const titleHolds = db.prepare<[string], { n: number }>(
    'SELECT count(*) AS n FROM video_words WHERE video_words MATCH ?',
  )
  const video = db.prepare<[number], VideoRow>(
    `SELECT v.*, c.code AS channel_code, c.title AS channel_title, c.subscribers, c.hidden, c.palette FROM video v
      JOIN channel c ON c.id = v.channel_id WHERE v.id = ?`,
  )
  const videoId = db.prepare<[string], { id: number }>('SELECT id FROM video WHERE code = ?')
  const channelRow = db.prepare<
    [string],
    { id: number; code: string; title: string; subscribers: number; hidden: number; founded_at: number; videos: number }
  >('SELECT * FROM channel WHERE code = ?')
  const ofChannel = db.prepare<[number], { id: number }>(
    'SELECT id FROM video WHERE channel_id = ? ORDER BY published_at DESC',
  )
  // Trending is what is young and much watched; each region likes some of it better than others.
  const hottest = db.prepare<[number, number, number], { id: number; code: string; heat: number }>(
    `SELECT id, code, views / (2 + (? - published_at) / 86400000.0) AS heat FROM video
      WHERE published_at BETWEEN ? AND ? ORDER BY heat DESC LIMIT 160`,
  )
  const trendingIn = (region: Region) =>
    hottest
      .all(newestDay, newestDay - TREND_DAYS * DAY, newestDay)
      .map(each => ({
        ...each,
        heat: each.heat * (region === null ? 1 : 0.3 + ((hash(`${each.code}/${region}`) >>> 0) % 1000) / 1000),
      }))
      .sort((a, b) => b.heat - a.heat)
      .slice(0, TRENDS)

  const answer = <Data>(source: string, data: Data, complete = true): Answer<Data> => ({
    source,
    at: Date.now() - daysBack * DAY,
    complete,
    data,
  })
  const english = (language: string) => language.toLowerCase().startsWith('en')
  const terms = (phrase: string) => phrase.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []

  function toVideo(id: number): SiteVideo {
    const row = video.get(id)!
    const grown = viewsBy(newestDay, row.published_at, lastDay)
    return {
      id: row.code,
      title: row.title,
      description: row.description,
      tags: JSON.parse(row.tags) as string[],
      channel: { id: row.channel_code, title: row.channel_title, subscribers: row.hidden ? null : row.subscribers },
      views: Math.round(row.views * grown),
      likes: Math.round(row.likes * grown),
      comments: Math.round(row.comments * grown),
      publishedAt: row.published_at,
      durationSeconds: row.seconds,
      thumbnail: thumbnail(row.code, row.palette),
    }
  }

  /** Whether web search shows videos: mostly where something is to be done. */
  const showsVideos = (phrase: string) =>
    /^(how|best way|easy way|can you)|fix|replace|adjust|tutorial/u.test(phrase)
      ? hash(phrase) % 10 < 8
      : hash(phrase) % 10 < 3

  /**
   * What people type that holds these words, the last one perhaps only begun; the two sources know different parts of
   * it.
   */
  function suggestions(source: 'video' | 'web', prefix: string): string[] {
    const typed = terms(prefix)
    if (!typed.length) return []
    return beginning
      .all(
        typed
          .map((word, i) => (i === typed.length - 1 && !/\s$/u.test(prefix) ? `"${word}" *` : `"${word}"`))
          .join(' AND '),
      )
      .filter(row => hash(source + row.text) % 100 < (source === 'video' ? 72 : 64))
      .slice(0, SUGGESTIONS)
      .map(row => row.text)
  }

  const call =
    <Args extends unknown[], Result>(work: (...args: Args) => Result) =>
    async (...args: Args): Promise<Result> => {
      await behaviour.before()
      return work(...args)
    }

  return {
    site: {
      suggest: call((prefix, _region: Region, language: string) =>
        answer('video site', english(language) ? suggestions('video', prefix) : []),
      ),
      search: call((phrase: string, region: Region, language: string, depth: number): Answer<SearchAnswer> => {
        const ids = english(language) ? ranking.rank(phrase, region, depth) : []
        const exact = terms(phrase)
          .map(word => `"${word}"`)
          .join(' + ')
        const titleMatches = exact ? titleHolds.get(`title : (${exact})`)!.n : 0
        const half = behaviour.half()
        const told = half ? ids.slice(0, Math.ceil(ids.length / 2)) : ids
        return answer('video site', { titleMatches, videos: told.map(toVideo) }, !half)
      }),
      video: call((id: string) => {
        const found = videoId.get(id)
        return answer('video site', found ? toVideo(found.id) : null)
      }),
      channel: call((id: string): Answer<SiteChannel | null> => {
        const row = channelRow.get(id)
        return answer(
          'video site',
          row
            ? {
                id: row.code,
                title: row.title,
                subscribers: row.hidden ? null : row.subscribers,
                foundedAt: row.founded_at,
                videos: row.videos,
              }
            : null,
        )
      }),
      channelVideos: call((id: string) => {
        const row = channelRow.get(id)
        return answer(
          'video site',
          row
            ? ofChannel
                .all(row.id)
                .map(each => toVideo(each.id))
                .filter(each => each.publishedAt! <= newestDay)
            : [],
        )
      }),
      trending: call((region: Region) =>
        answer(
          'video site',
          trendingIn(region).map(each => toVideo(each.id)),
        ),
      ),
    },
    demand: {
      volumes: call((phrases: string[], region: Region, language: string): Answer<VolumeAnswer> => {
        const half = behaviour.half()
        const figures = []
        for (const phrase of english(language)
          ? phrases.slice(0, half ? Math.ceil(phrases.length / 2) : undefined)
          : []) {
          const row = byText.get(phrase)
          if (!row) continue
          const months = monthSeries(row, region, lastMonth)
          figures.push({ phrase, months, volume: months.slice(-12).reduce((sum, month) => sum + month, 0) / 12 })
        }
        return answer('demand data', { monthsEnd, figures }, !half)
      }),
      history: call((phrase: string, region: Region, _language: string, months: number) => {
        const row = byText.get(phrase)
        return answer('demand data', { monthsEnd, months: row ? monthSeries(row, region, lastMonth, months) : [] })
      }),
      related: call((phrase: string, _region: Region, language: string) => {
        const words = terms(phrase)
        if (!words.length || !english(language)) return answer('demand data', [] as string[])
        const found = new Set<string>()
        const known = byText.get(phrase)
        if (known) found.add(known.text)
        for (const row of holding.all(words.map(word => `"${word}"`).join(' AND '))) found.add(row.text)
        const first = known ?? (found.size ? byText.get(found.values().next().value as string) : undefined)
        if (first && found.size < 400)
          for (const row of sameParts.all(first.trade, first.part, 400 - found.size)) found.add(row.text)
        return answer('demand data', [...found])
      }),
      byRegion: call((phrase: string) => {
        const row = byText.get(phrase)
        return answer(
          'demand data',
          row
            ? COUNTRIES.map(([region]) => ({
                region,
                volume: monthSeries(row, region, lastMonth, 12).reduce((sum, month) => sum + month, 0) / 12,
              }))
            : [],
        )
      }),
    },
    web: {
      suggest: call((prefix: string, _region: Region, language: string) =>
        answer('web search', english(language) ? suggestions('web', prefix) : []),
      ),
      videoBlock: call((phrase: string) => answer('web search', showsVideos(phrase))),
      // The block shows fewer videos than the site, and prefers those whose title answers word for word.
      blockVideos: call((phrase: string, region: Region, language: string) => {
        if (!showsVideos(phrase) || !english(language)) return answer('web search', [] as SiteVideo[])
        const holds = (title: string) => terms(phrase).every(word => title.toLowerCase().includes(word))
        const found = ranking.rank(phrase, region, 30).map(toVideo)
        return answer(
          'web search',
          [...found.filter(each => holds(each.title)), ...found.filter(each => !holds(each.title))].slice(0, 10),
        )
      }),
    },
    close: () => db.close(),
  }
}
