import { createHash } from 'node:crypto'
import { DAY } from '../../../core/time'
import type {
  Answer,
  ChannelRight,
  PlaylistDraft,
  Published,
  SavedPlaylist,
  SiteProblem,
  SiteUpload,
  UploadAnswer,
  UploadedFile,
  VideoDraft,
  VideoSite,
} from '../contract'
import { appealOf, truthOf } from './appeal'
import type { Answering } from './answering'
import { hash, normal, seeded } from './chance'
import { dayOf } from './clock'
import type { Days } from './days'
import type { OpenWorld } from './openWorld'
import { viewsBy } from './ranking'
import { LIMITS, problemsOf } from './siteLimits'
import { SITE } from './siteReads'
import { videoRows } from './videoRows'

type Acts = Pick<
  VideoSite,
  'account' | 'authorise' | 'startUpload' | 'sendPart' | 'upload' | 'publish' | 'update' | 'savePlaylist'
>

interface OwnerRow {
  channel_id: number
  code: string
  title: string
  subscribers: number
  authorised: number
  rights: string
}
interface UploadRow {
  id: number
  code: string
  channel_id: number
  bytes: number
  received: number
  seconds: number
  video_id: number | null
}
interface StoredVideo {
  id: number
  code: string
  channel_id: number
  language: string
  title: string
  description: string
  tags: string
  captions: string | null
  published_at: number
  seconds: number
  views: number
  likes: number
  comments: number
  clicks: number
  watched: number
  live: 0 | 1
}

/** Files a channel may upload a day, and how large and long they may be. */
const UPLOADS_A_DAY = 15
const MOST_BYTES = 128 * 1024 ** 3
const MOST_SECONDS = 12 * 3600
const SHORT_SECONDS = 15 * 60
/** A part of a file, 2 MB. */
const PART = 2 * 1024 * 1024
/** The site works on a video for a while before it can be seen: at least so long, and longer for a long one. */
const PROCESSING = 45_000
const PROCESSING_A_SECOND = 100

const SHOWN = { private: 0, public: 1, unlisted: 2 } as const
const short = (text: string) => createHash('sha256').update(text).digest('hex').slice(0, 12)
const plainDraft = (draft: Partial<VideoDraft>) =>
  [
    JSON.stringify(draft.sheet),
    JSON.stringify(draft.cards ?? []),
    draft.endScreen ? JSON.stringify(draft.endScreen) : null,
  ] as const

/** What the owner of a channel does there. Each act is done whole or not at all, and once for each request id. */
export function siteActs(world: OpenWorld, { call, answer }: Answering, days: Days): Acts {
  const { db, clock, seed, ranking } = world
  const rows = videoRows(db)
  const appeal = appealOf(seed)
  const owners = db.prepare<[], OwnerRow>(
    'SELECT o.*, c.code, c.title, c.subscribers FROM owner o JOIN channel c ON c.id = o.channel_id ORDER BY o.channel_id',
  )
  const q = {
    owner: db.prepare<[string], OwnerRow>(
      'SELECT o.*, c.code, c.title, c.subscribers FROM owner o JOIN channel c ON c.id = o.channel_id WHERE c.code = ?',
    ),
    ownerOf: db.prepare<[number], OwnerRow>(
      'SELECT o.*, c.code, c.title, c.subscribers FROM owner o JOIN channel c ON c.id = o.channel_id WHERE c.id = ?',
    ),
    authorise: db.prepare('UPDATE owner SET authorised = 1 WHERE channel_id = ?'),
    sentSince: db
      .prepare<[number, number], number>(
        'SELECT count(*) FROM release r JOIN video v ON v.id = r.video_id WHERE v.channel_id = ? AND r.sent_at >= ? AND r.request IS NOT NULL',
      )
      .pluck(),
    uploadOf: db.prepare<[string], UploadRow>('SELECT * FROM upload WHERE code = ?'),
    uploadBy: db.prepare<[string], UploadRow>('SELECT * FROM upload WHERE request = ?'),
    addUpload: db.prepare(
      'INSERT INTO upload (code, request, channel_id, name, bytes, received, seconds) VALUES (?, ?, ?, ?, ?, 0, ?)',
    ),
    receive: db.prepare('UPDATE upload SET received = received + ? WHERE id = ?'),
    used: db.prepare('UPDATE upload SET video_id = ? WHERE id = ?'),
    released: db.prepare<[string], { code: string; published_at: number }>(
      'SELECT v.code, v.published_at FROM release r JOIN video v ON v.id = r.video_id WHERE r.request = ?',
    ),
    video: db.prepare<[string], StoredVideo>('SELECT * FROM video WHERE code = ?'),
    sent: db.prepare<[number], { sheet: string; cards: string; end_screen: string | null; thumbnail: string | null }>(
      'SELECT sheet, cards, end_screen, thumbnail FROM release WHERE video_id = ?',
    ),
    release: db.prepare(
      `INSERT INTO release (video_id, request, thumbnail, sheet, cards, end_screen, sent_at) VALUES (?, ?, ?, ?, ?, ?, ?)
        ON CONFLICT (video_id) DO UPDATE SET thumbnail = excluded.thumbnail, sheet = excluded.sheet, cards = excluded.cards,
          end_screen = excluded.end_screen`,
    ),
    change: db.prepare(
      `UPDATE video SET title = ?, description = ?, tags = ?, language = ?, captions = ?, clicks = ?, watched = ?, shown = ?, views = ?,
        likes = ?, comments = ?, live = 1 WHERE id = ?`,
    ),
    isShown: db.prepare<[number], number>('SELECT shown FROM video WHERE id = ?').pluck(),
    show: db.prepare('UPDATE video SET live = 1, shown = ? WHERE id = ?'),
    goLive: db.prepare('INSERT OR IGNORE INTO live VALUES (?, ?, ?)'),
    playlist: db.prepare<
      [string],
      { id: number; channel_id: number; title: string; description: string; videos: string }
    >('SELECT * FROM playlist WHERE code = ?'),
    playlistBy: db.prepare<[string], string>('SELECT code FROM playlist WHERE request = ?').pluck(),
    addPlaylist: db.prepare(
      'INSERT INTO playlist (code, channel_id, title, description, videos, updated_at, request) VALUES (?, ?, ?, ?, ?, ?, ?)',
    ),
    changePlaylist: db.prepare(
      'UPDATE playlist SET title = ?, description = ?, videos = ?, updated_at = ? WHERE id = ?',
    ),
    addPlaylistWords: db.prepare('INSERT INTO playlist_words (rowid, title, description) VALUES (?, ?, ?)'),
    dropPlaylistWords: db.prepare(
      "INSERT INTO playlist_words (playlist_words, rowid, title, description) VALUES ('delete', ?, ?, ?)",
    ),
  }
  const wholly = <Args extends unknown[], Result>(work: (...args: Args) => Result) => {
    const transaction = db.transaction(work)
    return (...args: Args): Result => {
      // The days before an act have passed when it is done.
      days.catchUp()
      return transaction.immediate(...args)
    }
  }

  const rightsOf = (owner: OwnerRow) => JSON.parse(owner.rights) as ChannelRight[]
  const left = (owner: OwnerRow) => Math.max(0, UPLOADS_A_DAY - q.sentSince.get(owner.channel_id, dayOf(clock.now()))!)
  const longest = (owner: OwnerRow) => (rightsOf(owner).includes('long-videos') ? MOST_SECONDS : SHORT_SECONDS)
  const mayNot = (owner: OwnerRow | undefined, right: ChannelRight): SiteProblem[] => {
    if (!owner) return [{ field: 'channel', message: 'This account may not act for the channel.' }]
    if (!owner.authorised)
      return [{ field: 'channel', message: 'The channel has not agreed yet. Ask for its agreement.' }]
    return rightsOf(owner).includes(right)
      ? []
      : [{ field: 'channel', message: 'The channel lacks the right to do this.' }]
  }
  const lacking = (owner: OwnerRow, draft: Partial<VideoDraft>): SiteProblem[] => [
    ...(draft.thumbnail ? mayNot(owner, 'thumbnails').map(each => ({ ...each, field: 'thumbnail' })) : []),
    ...(draft.sheet?.monetised ? mayNot(owner, 'monetise').map(each => ({ ...each, field: 'sheet.monetised' })) : []),
  ]
  const toUpload = ({ code, bytes, received }: UploadRow): SiteUpload => ({ id: code, bytes, received })
  const refused = (problems: SiteProblem[]): Published => ({ id: null, visibleFrom: null, problems })

  /** How a video fares with viewers, from its own luck, its title, and whether it keeps what the title says. */
  function qualities(code: string, title: string, captions: string | null): { clicks: number; watched: number } {
    const luck = seeded(hash(code) ^ seed)
    const clicks = 0.33 + 0.12 * normal(luck) + appeal(title)
    const kept = captions === null ? 0.9 : 0.6 + 0.4 * truthOf(title, captions)
    const watched = (0.48 + 0.12 * normal(luck)) * kept
    return { clicks: Math.min(1, Math.max(0.02, clicks)), watched: Math.min(1, Math.max(0.05, watched)) }
  }

  function putInPlaylists(playlists: readonly string[], video: string): void {
    for (const code of playlists) {
      const playlist = q.playlist.get(code)!
      const videos = JSON.parse(playlist.videos) as string[]
      if (!videos.includes(video))
        q.changePlaylist.run(
          playlist.title,
          playlist.description,
          JSON.stringify([...videos, video]),
          clock.now(),
          playlist.id,
        )
    }
  }
  const notOurs = (playlists: readonly string[] | undefined, channel: number): SiteProblem[] =>
    (playlists ?? []).some(code => q.playlist.get(code)?.channel_id !== channel)
      ? [{ field: 'playlists', message: 'A playlist is not there, or not the channel’s own.' }]
      : []

  const startUpload = wholly((request: string, channel: string, file: UploadedFile): UploadAnswer => {
    const before = q.uploadBy.get(request)
    if (before) return { upload: toUpload(before), problems: [] }
    const owner = q.owner.get(channel)
    const problems = mayNot(owner, 'publish')
    if (owner && !problems.length) {
      if (left(owner) === 0) problems.push({ field: 'channel', message: 'The channel has published enough for today.' })
      if (file.bytes > MOST_BYTES) problems.push({ field: 'file', message: 'The file is too large.' })
      if (file.seconds > longest(owner))
        problems.push({ field: 'file', message: 'The video is too long for this channel.' })
      if (file.seconds < 1) problems.push({ field: 'file', message: 'The video is shorter than a second.' })
    }
    if (problems.length) return { upload: null, problems }
    const code = `up-${short(request)}`
    q.addUpload.run(code, request, owner!.channel_id, file.name, file.bytes, Math.round(file.seconds))
    return { upload: { id: code, bytes: file.bytes, received: 0 }, problems: [] }
  })

  const sendPart = wholly((id: string, offset: number, bytes: string): UploadAnswer => {
    const row = q.uploadOf.get(id)
    if (!row)
      return { upload: null, problems: [{ field: 'upload', message: 'There is no such upload. Start it again.' }] }
    const size = Buffer.from(bytes, 'base64').length
    const wrong = (message: string) => ({ upload: toUpload(row), problems: [{ field: 'upload', message }] })
    // A part that came but was not acknowledged is sent again.
    if (offset + size <= row.received) return { upload: toUpload(row), problems: [] }
    if (offset !== row.received) return wrong('The part does not begin where the last one ended.')
    if (size > PART) return wrong('A part can have 2 MB.')
    if (offset + size > row.bytes) return wrong('This is more than the file was said to have.')
    q.receive.run(size, row.id)
    return { upload: { id, bytes: row.bytes, received: offset + size }, problems: [] }
  })

  const publish = wholly((request: string, uploadId: string, draft: VideoDraft, at: number | null): Published => {
    const done = q.released.get(request)
    if (done) return { id: done.code, visibleFrom: done.published_at, problems: [] }
    const upload = q.uploadOf.get(uploadId)
    const problem = (field: string, message: string) => refused([{ field, message }])
    if (!upload) return problem('upload', 'There is no such upload. Start it again.')
    if (upload.video_id !== null) return problem('upload', 'This file was published already.')
    if (upload.received < upload.bytes) return problem('upload', 'The file is not complete yet.')
    const owner = q.ownerOf.get(upload.channel_id)!
    const now = clock.now()
    const problems = [
      ...mayNot(owner, 'publish'),
      ...lacking(owner, draft),
      ...problemsOf(draft, upload.seconds),
      ...notOurs(draft.playlists, owner.channel_id),
    ]
    if (left(owner) === 0) problems.push({ field: 'channel', message: 'The channel has published enough for today.' })
    if (at !== null && at > now + LIMITS.aheadDays * DAY)
      problems.push({ field: 'at', message: 'The time is too far ahead.' })
    if (problems.length) return refused(problems)

    const code = `v-${short(`${request}/${seed}`)}`
    const visibleFrom = Math.max(at ?? 0, now + PROCESSING + PROCESSING_A_SECOND * upload.seconds)
    const captions = draft.captions?.text ?? null
    const id = rows.add({
      id: code,
      channel: owner.channel_id - 1,
      language: draft.language.split('-')[0] as 'en',
      title: draft.title,
      description: draft.description,
      tags: draft.tags,
      captions,
      publishedAt: visibleFrom,
      seconds: upload.seconds,
      views: 0,
      likes: 0,
      comments: 0,
      dislikes: 0,
      part: '',
      ...qualities(code, draft.title, captions),
    })
    q.show.run(SHOWN[draft.sheet.visibility], id)
    q.used.run(id, upload.id)
    q.release.run(id, request, draft.thumbnail, ...plainDraft(draft), now)
    q.goLive.run(id, dayOf(visibleFrom), 0)
    days.aim({ ...q.video.get(code)! })
    putInPlaylists(draft.playlists, code)
    ranking.changed()
    return { id: code, visibleFrom, problems: [] }
  })

  const update = wholly((code: string, draft: Partial<VideoDraft>): Published => {
    const video = q.video.get(code)
    if (!video) return refused([{ field: 'video', message: 'There is no such video.' }])
    const owner = q.ownerOf.get(video.channel_id)
    const problems = [
      ...mayNot(owner, 'update'),
      ...(owner ? lacking(owner, draft) : []),
      ...problemsOf(draft, video.seconds),
      ...notOurs(draft.playlists, video.channel_id),
    ]
    if (problems.length) return refused(problems)
    const now = clock.now()
    const before = { title: video.title, description: video.description, tags: JSON.parse(video.tags) as string[] }
    const after = {
      title: draft.title ?? before.title,
      description: draft.description ?? before.description,
      tags: draft.tags ?? before.tags,
    }
    const language = draft.language?.split('-')[0] ?? video.language
    const captions = draft.captions === undefined ? video.captions : (draft.captions?.text ?? null)
    // One from before the world's clock began had its views by a formula: from now on they come day by day.
    const grown = video.live ? 1 : viewsBy(clock.today(), video.published_at, clock.madeOn)
    q.goLive.run(video.id, dayOf(now), video.views)
    const clicks = video.clicks + appeal(after.title) - appeal(before.title)
    const truth = (title: string, text: string | null) => (text === null ? 0.9 : 0.6 + 0.4 * truthOf(title, text))
    const watched = (video.watched * truth(after.title, captions)) / truth(before.title, video.captions)
    q.change.run(
      after.title,
      after.description,
      JSON.stringify(after.tags),
      language,
      captions,
      Math.min(1, Math.max(0.02, clicks)),
      Math.min(1, Math.max(0.05, watched)),
      draft.sheet ? SHOWN[draft.sheet.visibility] : q.isShown.get(video.id)!,
      Math.round(video.views * grown),
      Math.round(video.likes * grown),
      Math.round(video.comments * grown),
      video.id,
    )
    rows.replaceWords(video.id, before, after)
    const sent = q.sent.get(video.id)
    q.release.run(
      video.id,
      null,
      draft.thumbnail === undefined ? (sent?.thumbnail ?? null) : draft.thumbnail,
      draft.sheet ? JSON.stringify(draft.sheet) : (sent?.sheet ?? '{}'),
      draft.cards ? JSON.stringify(draft.cards) : (sent?.cards ?? '[]'),
      draft.endScreen === undefined ? (sent?.end_screen ?? null) : draft.endScreen && JSON.stringify(draft.endScreen),
      now,
    )
    days.aim({ id: video.id, language, ...after, tags: JSON.stringify(after.tags) })
    putInPlaylists(draft.playlists ?? [], code)
    ranking.changed()
    return { id: code, visibleFrom: Math.max(now, video.published_at), problems: [] }
  })

  const savePlaylist = wholly((request: string, id: string | null, playlist: PlaylistDraft): SavedPlaylist => {
    const done = q.playlistBy.get(request)
    if (done) return { id: done, problems: [] }
    const owner = q.owner.get(playlist.channel)
    const known = id === null ? null : q.playlist.get(id)
    const problems = [...mayNot(owner, 'update'), ...problemsOf({ description: playlist.description }, 0)]
    if (id !== null && (!known || known.channel_id !== owner?.channel_id))
      problems.push({ field: 'id', message: 'There is no such playlist of this channel.' })
    if (!playlist.title.trim()) problems.push({ field: 'title', message: 'A playlist needs a title.' })
    if ([...playlist.title].length > LIMITS.playlistTitle)
      problems.push({ field: 'title', message: `A playlist’s title can have ${LIMITS.playlistTitle} characters.` })
    if (/[<>]/u.test(playlist.title)) problems.push({ field: 'title', message: 'A title cannot hold < or >.' })
    if (playlist.videos.some(code => !q.video.get(code)))
      problems.push({ field: 'videos', message: 'One of the videos is not there.' })
    if (problems.length) return { id: null, problems }
    const { title, description } = playlist
    const videos = JSON.stringify([...new Set(playlist.videos)])
    if (known) {
      q.dropPlaylistWords.run(known.id, known.title, known.description)
      q.changePlaylist.run(title, description, videos, clock.now(), known.id)
      q.addPlaylistWords.run(known.id, title, description)
      return { id, problems: [] }
    }
    const code = `pl-${short(request)}`
    const added = q.addPlaylist.run(code, owner!.channel_id, title, description, videos, clock.now(), request)
    q.addPlaylistWords.run(added.lastInsertRowid, title, description)
    return { id: code, problems: [] }
  })

  const say = <Args extends unknown[], Data>(
    work: (...args: Args) => Data,
  ): ((...args: Args) => Promise<Answer<Data>>) => call((...args: Args) => answer(SITE, work(...args)))

  return {
    account: say(() => ({
      channels: owners.all().map(owner => ({
        id: owner.code,
        title: owner.title,
        authorised: owner.authorised === 1,
        rights: rightsOf(owner),
        limits: { uploadsLeft: left(owner), bytes: MOST_BYTES, seconds: longest(owner) },
      })),
    })),
    // The simulated owners agree at once.
    authorise: say((channel: string) => {
      const owner = q.owner.get(channel)
      if (owner) q.authorise.run(owner.channel_id)
      return { authorised: owner !== undefined, address: null }
    }),
    startUpload: say(startUpload),
    sendPart: say(sendPart),
    upload: say((id: string) => {
      const row = q.uploadOf.get(id)
      return row ? toUpload(row) : null
    }),
    publish: say(publish),
    update: say(update),
    savePlaylist: say(savePlaylist),
  }
}
