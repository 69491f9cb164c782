import { DAY } from '../../../core/time'
import type { Answer, Region, SearchAnswer, SiteCaptions, SiteChannel, SitePlaylist, VideoSite } from '../contract'
import { SITE, type Answering } from './answering'
import { hash } from './chance'
import type { OpenWorld } from './openWorld'
import { siteVideos } from './siteVideos'
import { spoken, suggesting, terms } from './suggesting'
import { viewsOn, type KeptViews } from './views'

/** Trending are so many of the so many youngest videos. */
const TRENDS = 40
const YOUNG = 160

interface ChannelRow {
  id: number
  code: string
  title: string
  subscribers: number
  hidden: number
  founded_at: number
}
interface PlaylistRow {
  code: string
  title: string
  description: string
  videos: string
  updated_at: number
  channel_code: string
  channel_title: string
}
type Reads = Pick<
  VideoSite,
  | 'suggest'
  | 'search'
  | 'video'
  | 'channel'
  | 'channelVideos'
  | 'trending'
  | 'captions'
  | 'playlist'
  | 'searchPlaylists'
  | 'channelPlaylists'
>

/** Trending is what is young and much watched; each region likes some of it better than others. */
function trending({ db, clock }: OpenWorld) {
  const youngest = db.prepare<
    [number],
    KeptViews & { id: number; code: string }
  >(`SELECT id, code, views, live, published_at, gained, gain, gain_on FROM video WHERE published_at <= ? AND shown = 1
      ORDER BY published_at DESC LIMIT ${YOUNG}`)
  return (region: Region): number[] => {
    const day = clock.today()
    const liking = (code: string) => (region === null ? 1 : 0.3 + (hash(`${code}/${region}`) % 1000) / 1000)
    return youngest
      .all(day)
      .map(video => ({
        id: video.id,
        heat: (viewsOn(video, day, clock.madeOn) / (2 + (day - video.published_at) / DAY)) * liking(video.code),
      }))
      .sort((a, b) => b.heat - a.heat)
      .slice(0, TRENDS)
      .map(each => each.id)
  }
}

const PLAYLIST =
  'SELECT p.*, c.code AS channel_code, c.title AS channel_title FROM playlist p JOIN channel c ON c.id = p.channel_id'
const toPlaylist = (row: PlaylistRow): SitePlaylist => ({
  id: row.code,
  title: row.title,
  description: row.description,
  channel: { id: row.channel_code, title: row.channel_title },
  videos: JSON.parse(row.videos) as string[],
  updatedAt: row.updated_at,
})

/** Playlists as they are opened and found. */
function playlists({ db }: OpenWorld) {
  const byCode = db.prepare<[string], PlaylistRow>(`${PLAYLIST} WHERE p.code = ?`)
  const byChannel = db.prepare<[string], PlaylistRow>(
    `${PLAYLIST} WHERE c.code = ? ORDER BY p.updated_at DESC LIMIT 500`,
  )
  const found = db.prepare<[string, number], PlaylistRow>(
    `${PLAYLIST} JOIN (SELECT rowid, bm25(playlist_words, 8.0, 1.0) AS score FROM playlist_words WHERE playlist_words MATCH ?) w
      ON w.rowid = p.id ORDER BY w.score - 0.3 * log10(1 + c.subscribers), p.id LIMIT ?`,
  )
  return {
    byCode: (code: string) => {
      const row = byCode.get(code)
      return row ? toPlaylist(row) : null
    },
    ofChannel: (code: string) => byChannel.all(code).map(toPlaylist),
    search: (phrase: string, depth: number) => {
      const words = terms(phrase).map(word => `"${word}"`)
      if (!words.length) return []
      const all = found.all(words.join(' AND '), depth)
      return (all.length ? all : found.all(words.join(' OR '), depth)).map(toPlaylist)
    },
  }
}

/** What everybody sees of the site. */
export function siteReads(world: OpenWorld, { call, answer, behaviour }: Answering): Reads {
  const { db, clock, ranking } = world
  const toVideo = siteVideos(world)
  const suggestions = suggesting(world)
  const trends = trending(world)
  const lists = playlists(world)

  const titleHolds = db.prepare<[string], number>('SELECT count(*) FROM video_words WHERE video_words MATCH ?').pluck()
  const unseen = db
    .prepare<[string, number], number>(
      `SELECT count(*) FROM video v JOIN video_words w ON w.rowid = v.id WHERE video_words MATCH ?
        AND v.id IN (SELECT id FROM video WHERE published_at > ? UNION SELECT id FROM video WHERE shown <> 1)`,
    )
    .pluck()
  /** Mostly there is none: to look for their words costs more than the rest of the count. */
  const someUnseen = db
    .prepare<[number], number>(
      `SELECT EXISTS (SELECT 1 FROM video WHERE published_at > ?) OR EXISTS (SELECT 1 FROM video WHERE shown <> 1)`,
    )
    .pluck()
  const captioned = db.prepare<[string, number], { language: string; captions: string | null }>(
    'SELECT language, captions FROM video WHERE code = ? AND published_at <= ? AND shown <> 0',
  )
  const videoId = db
    .prepare<[string, number], number>('SELECT id FROM video WHERE code = ? AND published_at <= ? AND shown <> 0')
    .pluck()
  const channelRow = db.prepare<[string], ChannelRow>('SELECT * FROM channel WHERE code = ?')
  const ofChannel = db
    .prepare<[number, number], number>(
      'SELECT id FROM video WHERE channel_id = ? AND published_at <= ? AND shown = 1 ORDER BY published_at DESC LIMIT 5000',
    )
    .pluck()
  const countOf = db
    .prepare<[number, number], number>(
      'SELECT count(*) FROM video WHERE channel_id = ? AND published_at <= ? AND shown = 1',
    )
    .pluck()

  /** How many titles hold a phrase word for word. */
  const titleMatches = (phrase: string) => {
    const words = terms(phrase).map(word => `"${word}"`)
    if (!words.length) return 0
    const query = `title : (${words.join(' + ')})`
    const now = clock.now()
    return titleHolds.get(query)! - (someUnseen.get(now) ? unseen.get(query, now)! : 0)
  }

  return {
    suggest: call((prefix: string, _region: Region, language: string) =>
      answer(SITE, suggestions('video', prefix, language)),
    ),
    search: call((phrase: string, region: Region, language: string, depth: number): Answer<SearchAnswer> => {
      const ids = ranking.rank(phrase, region, spoken(language), depth)
      const half = behaviour.half()
      const listed = half ? ids.slice(0, Math.ceil(ids.length / 2)) : ids
      return answer(SITE, { titleMatches: titleMatches(phrase), videos: listed.map(toVideo) }, !half)
    }),
    video: call((id: string) => {
      const found = videoId.get(id, clock.now())
      return answer(SITE, found === undefined ? null : toVideo(found))
    }),
    channel: call((id: string): Answer<SiteChannel | null> => {
      const row = channelRow.get(id)
      if (!row) return answer(SITE, null)
      return answer(SITE, {
        id: row.code,
        title: row.title,
        subscribers: row.hidden ? null : row.subscribers,
        foundedAt: row.founded_at,
        videos: countOf.get(row.id, clock.now())!,
      })
    }),
    channelVideos: call((id: string) => {
      const row = channelRow.get(id)
      return answer(SITE, row ? ofChannel.all(row.id, clock.now()).map(toVideo) : [])
    }),
    trending: call((region: Region) => answer(SITE, trends(region).map(toVideo))),
    captions: call((id: string): Answer<SiteCaptions | null> => {
      const row = captioned.get(id, clock.now())
      return answer(SITE, row?.captions ? { language: row.language, text: row.captions } : null)
    }),
    playlist: call((id: string) => answer(SITE, lists.byCode(id))),
    searchPlaylists: call((phrase: string, _region: Region, _language: string, depth: number) =>
      answer(SITE, { playlists: lists.search(phrase, depth) }),
    ),
    channelPlaylists: call((id: string) => answer(SITE, lists.ofChannel(id))),
  }
}
