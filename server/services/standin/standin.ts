import { DAY } from '../../../core/time'
import Database from 'better-sqlite3'
import type {
  Answer,
  Region,
  SearchAnswer,
  Services,
  SiteCaptions,
  SiteChannel,
  SiteVideo,
  VolumeAnswer,
} from '../contract'
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

/** Trending are so many of the so many youngest videos. */
const TRENDS = 40
const YOUNG = 160

/** The last complete month of a day, as year × 12 + month. */
function lastMonthOf(day: number): number {
  const date = new Date(day)
  return date.getUTCFullYear() * 12 + date.getUTCMonth() - 1
}

/**
 * Opens the simulated services over a world's file, read only. The world goes on after it was made: its clock is the
 * machine's, videos grow older and gather views.
 *
 * @param clock the time the world's clock shows, UTC milliseconds; never before the world was made unless it is set
 * back: then videos published since are not there yet, and the others had fewer views.
 */
export function openStandin(
  file: string,
  behaviour = new Behaviour(),
  clock?: () => number,
): Services & { close: () => void } {
  const db = new Database(file, { readonly: true, fileMustExist: true })
  const fact = (name: string) =>
    db.prepare<[string], { value: string }>('SELECT value FROM fact WHERE name = ?').get(name)!.value
  const madeOn = Number(fact('newestDay'))
  const now = clock ?? (() => Math.max(madeOn, Date.now()))
  // What the site shows changes from day to day: two who look on one day see the same.
  const today = () => Math.max(clock ? 0 : madeOn, Math.floor(now() / DAY) * DAY)
  const origin = lastMonthOf(madeOn)
  const lastMonth = () => lastMonthOf(now())
  const monthsEnd = () => {
    const month = lastMonth()
    return `${Math.floor(month / 12)}-${String((month % 12) + 1).padStart(2, '0')}`
  }
  const ranking = new Ranking(db, Number(fact('seed')), madeOn, today)

  const byText = db.prepare<[string, string], PhraseRow>('SELECT * FROM phrase WHERE text = ? AND language = ?')
  const beginning = db.prepare<[string, string], { text: string }>(
    `SELECT p.text FROM phrase_words w JOIN phrase p ON p.id = w.rowid WHERE phrase_words MATCH ? AND p.language = ? ORDER BY w.rowid
      LIMIT 60`,
  )
  const holding = db.prepare<[string, string], { text: string }>(
    `SELECT p.text FROM phrase_words w JOIN phrase p ON p.id = w.rowid WHERE phrase_words MATCH ? AND p.language = ? ORDER BY w.rowid
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
  const captioned = db.prepare<[string], { language: string; captions: string | null }>(
    'SELECT language, captions FROM video WHERE code = ?',
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
  const youngest = db.prepare<[number], { id: number; code: string; views: number; published_at: number }>(
    `SELECT id, code, views, published_at FROM video WHERE published_at <= ? ORDER BY published_at DESC LIMIT ${YOUNG}`,
  )
  const trendingIn = (region: Region) => {
    const day = today()
    const heat = ({ code, views, published_at }: { code: string; views: number; published_at: number }) =>
      ((views * viewsBy(day, published_at, madeOn)) / (2 + (day - published_at) / DAY)) *
      (region === null ? 1 : 0.3 + (hash(`${code}/${region}`) % 1000) / 1000)
    return youngest
      .all(day)
      .map(each => ({ ...each, heat: heat(each) }))
      .sort((a, b) => b.heat - a.heat)
      .slice(0, TRENDS)
  }

  const answer = <Data>(source: string, data: Data, complete = true): Answer<Data> => ({
    source,
    at: now(),
    complete,
    data,
  })
  /** The language the world has for one that is asked for: `en-GB` is answered in English. */
  const spoken = (language: string) => language.toLowerCase().split('-')[0]!
  const terms = (phrase: string) => phrase.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []

  function toVideo(id: number): SiteVideo {
    const row = video.get(id)!
    const grown = viewsBy(today(), row.published_at, madeOn)
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
    /^(how|best way|easy way|can you|why|wie|warum)|fix|replace|adjust|tutorial|wechseln|einstellen|anleitung/u.test(
      phrase,
    )
      ? hash(phrase) % 10 < 8
      : hash(phrase) % 10 < 3

  /**
   * What people type that holds these words, the last one perhaps only begun; the two sources know different parts of
   * it.
   */
  function suggestions(source: 'video' | 'web', prefix: string, language: string): string[] {
    const typed = terms(prefix)
    if (!typed.length) return []
    return beginning
      .all(
        typed
          .map((word, i) => (i === typed.length - 1 && !/\s$/u.test(prefix) ? `"${word}" *` : `"${word}"`))
          .join(' AND '),
        spoken(language),
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
        answer('video site', suggestions('video', prefix, language)),
      ),
      search: call((phrase: string, region: Region, language: string, depth: number): Answer<SearchAnswer> => {
        const ids = ranking.rank(phrase, region, spoken(language), depth)
        const exact = terms(phrase)
          .map(word => `"${word}"`)
          .join(' + ')
        const titleMatches = exact ? titleHolds.get(`title : (${exact})`)!.n : 0
        const half = behaviour.half()
        const listed = half ? ids.slice(0, Math.ceil(ids.length / 2)) : ids
        return answer('video site', { titleMatches, videos: listed.map(toVideo) }, !half)
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
                .filter(each => each.publishedAt! <= today())
            : [],
        )
      }),
      trending: call((region: Region) =>
        answer(
          'video site',
          trendingIn(region).map(each => toVideo(each.id)),
        ),
      ),
      captions: call((id: string): Answer<SiteCaptions | null> => {
        const row = captioned.get(id)
        return answer('video site', row?.captions ? { language: row.language, text: row.captions } : null)
      }),
    },
    demand: {
      volumes: call((phrases: string[], region: Region, language: string): Answer<VolumeAnswer> => {
        const half = behaviour.half()
        const figures = []
        for (const phrase of phrases.slice(0, half ? Math.ceil(phrases.length / 2) : undefined)) {
          const row = byText.get(phrase, spoken(language))
          if (!row) continue
          const months = monthSeries(row, region, lastMonth(), { origin })
          figures.push({ phrase, months, volume: months.slice(-12).reduce((sum, month) => sum + month, 0) / 12 })
        }
        return answer('demand data', { monthsEnd: monthsEnd(), figures }, !half)
      }),
      history: call((phrase: string, region: Region, language: string, months: number) => {
        const row = byText.get(phrase, spoken(language))
        return answer('demand data', {
          monthsEnd: monthsEnd(),
          months: row ? monthSeries(row, region, lastMonth(), { origin, count: months }) : [],
        })
      }),
      related: call((phrase: string, _region: Region, language: string) => {
        const words = terms(phrase)
        if (!words.length) return answer('demand data', [] as string[])
        const found = new Set<string>()
        const known = byText.get(phrase, spoken(language))
        if (known) found.add(known.text)
        for (const row of holding.all(words.map(word => `"${word}"`).join(' AND '), spoken(language)))
          found.add(row.text)
        const first =
          known ?? (found.size ? byText.get(found.values().next().value as string, spoken(language)) : undefined)
        if (first && found.size < 400)
          for (const row of sameParts.all(first.trade, first.part, 400 - found.size)) found.add(row.text)
        return answer('demand data', [...found])
      }),
      byRegion: call((phrase: string, language: string) => {
        const row = byText.get(phrase, spoken(language))
        return answer(
          'demand data',
          row
            ? COUNTRIES.map(([region]) => ({
                region,
                volume:
                  monthSeries(row, region, lastMonth(), { origin, count: 12 }).reduce((sum, month) => sum + month, 0) /
                  12,
              }))
            : [],
        )
      }),
    },
    web: {
      suggest: call((prefix: string, _region: Region, language: string) =>
        answer('web search', suggestions('web', prefix, language)),
      ),
      videoBlock: call((phrase: string) => answer('web search', showsVideos(phrase))),
      // The block shows fewer videos than the site, and prefers those whose title answers word for word.
      blockVideos: call((phrase: string, region: Region, language: string) => {
        if (!showsVideos(phrase)) return answer('web search', [] as SiteVideo[])
        const holds = (title: string) => terms(phrase).every(word => title.toLowerCase().includes(word))
        const found = ranking.rank(phrase, region, spoken(language), 30).map(toVideo)
        return answer(
          'web search',
          [...found.filter(each => holds(each.title)), ...found.filter(each => !holds(each.title))].slice(0, 10),
        )
      }),
    },
    close: () => db.close(),
  }
}
