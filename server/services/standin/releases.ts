import { DAY } from '../../../core/time'
import type { Published, SiteProblem, VideoDraft, VideoSite } from '../contract'
import { SITE, type Answering } from './answering'
import { appealOf, truthOf } from './appeal'
import { hash, normal, seeded } from './chance'
import { dayOf } from './clock'
import type { Days } from './days'
import type { OpenWorld } from './openWorld'
import type { OwnPlaylists } from './ownPlaylists'
import type { Acting, Owner, SiteOwners } from './owners'
import { LIMITS, problemsOf } from './siteLimits'
import { idFrom, type UploadRow } from './uploads'
import { videoRows } from './videoRows'
import { viewsOn, type KeptViews } from './views'

interface StoredVideo extends KeptViews {
  id: number
  code: string
  channel_id: number
  language: string
  title: string
  description: string
  tags: string
  captions: string | null
  seconds: number
  likes: number
  comments: number
  clicks: number
  watched: number
}

/** The site works on a video for a while before it can be seen: at least so long, and longer for a long one. */
const PROCESSING = 45_000
const PROCESSING_A_SECOND = 100
/** How much longer viewers stay where the title's words are all spoken than where none is; what is not known. */
const KEPT = { least: 0.6, unknown: 0.9 } as const

const SHOWN = { private: 0, public: 1, unlisted: 2 } as const
const bounded = (part: number, least: number) => Math.min(1, Math.max(least, part))
const refused = (problems: SiteProblem[]): Published => ({ id: null, visibleFrom: null, problems })
const keeps = (title: string, captions: string | null) =>
  captions === null ? KEPT.unknown : KEPT.least + (1 - KEPT.least) * truthOf(title, captions)

/** Videos as their owner publishes and changes them. */
export function siteReleases(
  { db, clock, seed, ranking }: OpenWorld,
  { say }: Answering,
  owners: SiteOwners,
  playlists: OwnPlaylists,
  days: Days,
  act: Acting,
): Pick<VideoSite, 'publish' | 'update'> {
  const rows = videoRows(db)
  const appeal = appealOf(seed)
  const q = {
    uploadOf: db.prepare<[string], UploadRow>('SELECT * FROM upload WHERE code = ?'),
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
    goLive: db.prepare('INSERT OR IGNORE INTO live VALUES (?, ?, ?, ?)'),
  }

  const lacking = (owner: Owner, draft: Partial<VideoDraft>): SiteProblem[] => [
    ...(draft.thumbnail ? owners.mayNot(owner, 'thumbnails', 'thumbnail') : []),
    ...((draft.cards ?? []).some(({ kind }) => kind === 'link') ? owners.mayNot(owner, 'links', 'cards') : []),
    ...(draft.endScreen?.elements.some(({ kind }) => kind === 'link')
      ? owners.mayNot(owner, 'links', 'endScreen')
      : []),
    ...(draft.sheet?.monetised ? owners.mayNot(owner, 'monetise', 'sheet.monetised') : []),
  ]

  /** How a video fares with viewers, from its own luck, its title, and whether it keeps what the title says. */
  function qualities(code: string, title: string, captions: string | null): { clicks: number; watched: number } {
    const luck = seeded(hash(code) ^ seed)
    const clicks = 0.33 + 0.12 * normal(luck) + appeal(title)
    const watched = (0.48 + 0.12 * normal(luck)) * keeps(title, captions)
    return { clicks: bounded(clicks, 0.02), watched: bounded(watched, 0.05) }
  }

  const publish = act((request: string, uploadId: string, draft: VideoDraft, at: number | null): Published => {
    const done = q.released.get(request)
    if (done) return { id: done.code, visibleFrom: done.published_at, problems: [] }
    const upload = q.uploadOf.get(uploadId)
    const problem = (field: string, message: string) => refused([{ field, message }])
    if (!upload) return problem('upload', 'There is no such upload. Start it again.')
    if (upload.video_id !== null) return problem('upload', 'This file was published already.')
    if (upload.received < upload.bytes) return problem('upload', 'The file is not complete yet.')
    const owner = owners.byChannel(upload.channel_id)!
    const now = clock.now()
    const problems = [
      ...owners.mayNot(owner, 'publish'),
      ...owners.spent(owner),
      ...lacking(owner, draft),
      ...problemsOf(draft, upload.seconds),
      ...playlists.problemsWith(draft.playlists, owner.channel_id),
    ]
    if (at !== null && at > now + LIMITS.aheadDays * DAY)
      problems.push({ field: 'at', message: 'The time is too far ahead.' })
    if (problems.length) return refused(problems)

    const code = idFrom('v', `${request}/${seed}`)
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
    q.release.run(
      id,
      request,
      draft.thumbnail,
      JSON.stringify(draft.sheet),
      JSON.stringify(draft.cards),
      draft.endScreen && JSON.stringify(draft.endScreen),
      now,
    )
    q.goLive.run(id, dayOf(visibleFrom), 0, null)
    days.aim({ ...q.video.get(code)! })
    playlists.addVideo(draft.playlists, code)
    ranking.changed()
    return { id: code, visibleFrom, problems: [] }
  })

  const update = act((code: string, draft: Partial<VideoDraft>): Published => {
    const video = q.video.get(code)
    if (!video) return refused([{ field: 'video', message: 'There is no such video.' }])
    const owner = owners.byChannel(video.channel_id)
    const problems = [
      ...owners.mayNot(owner, 'update'),
      ...(owner ? lacking(owner, draft) : []),
      ...problemsOf(draft, video.seconds),
      ...playlists.problemsWith(draft.playlists, video.channel_id),
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
    const today = dayOf(now)
    const views = viewsOn(video, today, clock.madeOn)
    const grown = video.views ? views / video.views : 1
    if (!video.live) q.goLive.run(video.id, today, video.views, JSON.stringify(days.before(video.id, today)))
    days.from(today)
    const clicks = video.clicks + appeal(after.title) - appeal(before.title)
    const watched = (video.watched * keeps(after.title, captions)) / keeps(before.title, video.captions)
    q.change.run(
      after.title,
      after.description,
      JSON.stringify(after.tags),
      language,
      captions,
      bounded(clicks, 0.02),
      bounded(watched, 0.05),
      draft.sheet ? SHOWN[draft.sheet.visibility] : q.isShown.get(video.id)!,
      Math.round(views),
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
    playlists.addVideo(draft.playlists ?? [], code)
    ranking.changed()
    return { id: code, visibleFrom: Math.max(now, video.published_at), problems: [] }
  })

  return { publish: say(SITE, publish), update: say(SITE, update) }
}
