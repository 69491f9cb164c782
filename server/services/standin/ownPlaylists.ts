import type { PlaylistDraft, SavedPlaylist, SiteProblem, VideoSite } from '../contract'
import { SITE, type Answering } from './answering'
import type { OpenWorld } from './openWorld'
import type { Acting, SiteOwners } from './owners'
import { LIMITS, problemsOf } from './siteLimits'
import { idFrom } from './uploads'

interface PlaylistRow {
  id: number
  channel_id: number
  title: string
  description: string
  videos: string
}

/** Playlists as their owner makes and changes them. */
export function ownPlaylists({ db, clock }: OpenWorld, { say }: Answering, owners: SiteOwners, act: Acting) {
  const byCode = db.prepare<[string], PlaylistRow>('SELECT * FROM playlist WHERE code = ?')
  const byRequest = db.prepare<[string], string>('SELECT code FROM playlist WHERE request = ?').pluck()
  const isVideo = db.prepare<[string], number>('SELECT 1 FROM video WHERE code = ?').pluck()
  const add = db.prepare(
    'INSERT INTO playlist (code, channel_id, title, description, videos, updated_at, request) VALUES (?, ?, ?, ?, ?, ?, ?)',
  )
  const change = db.prepare('UPDATE playlist SET title = ?, description = ?, videos = ?, updated_at = ? WHERE id = ?')
  const addWords = db.prepare('INSERT INTO playlist_words (rowid, title, description) VALUES (?, ?, ?)')
  const dropWords = db.prepare(
    "INSERT INTO playlist_words (playlist_words, rowid, title, description) VALUES ('delete', ?, ?, ?)",
  )

  const savePlaylist = act((request: string, id: string | null, playlist: PlaylistDraft): SavedPlaylist => {
    const done = byRequest.get(request)
    if (done) return { id: done, problems: [] }
    const owner = owners.byCode(playlist.channel)
    const known = id === null ? null : byCode.get(id)
    const problems = [...owners.mayNot(owner, 'update'), ...problemsOf({ description: playlist.description }, 0)]
    if (id !== null && (!known || known.channel_id !== owner?.channel_id))
      problems.push({ field: 'id', message: 'There is no such playlist of this channel.' })
    if (!playlist.title.trim()) problems.push({ field: 'title', message: 'A playlist needs a title.' })
    if ([...playlist.title].length > LIMITS.playlistTitle)
      problems.push({ field: 'title', message: `A playlist’s title can have ${LIMITS.playlistTitle} characters.` })
    if (/[<>]/u.test(playlist.title)) problems.push({ field: 'title', message: 'A title cannot hold < or >.' })
    if (playlist.videos.some(code => !isVideo.get(code)))
      problems.push({ field: 'videos', message: 'One of the videos is not there.' })
    if (problems.length) return { id: null, problems }
    const { title, description } = playlist
    const videos = JSON.stringify([...new Set(playlist.videos)])
    if (known) {
      dropWords.run(known.id, known.title, known.description)
      change.run(title, description, videos, clock.now(), known.id)
      addWords.run(known.id, title, description)
      return { id, problems: [] }
    }
    const code = idFrom('pl', request)
    const added = add.run(code, owner!.channel_id, title, description, videos, clock.now(), request)
    addWords.run(added.lastInsertRowid, title, description)
    return { id: code, problems: [] }
  })

  const saving: Pick<VideoSite, 'savePlaylist'> = { savePlaylist: say(SITE, savePlaylist) }
  return {
    ...saving,
    /** Adds a video at the end of playlists that are there. */
    addVideo: (playlists: readonly string[], video: string): void => {
      for (const code of playlists) {
        const { id, title, description, videos } = byCode.get(code)!
        const list = JSON.parse(videos) as string[]
        if (!list.includes(video)) change.run(title, description, JSON.stringify([...list, video]), clock.now(), id)
      }
    },
    /** What is wrong with playlists a video of a channel shall be added to. */
    problemsWith: (playlists: readonly string[] | undefined, channel: number): SiteProblem[] =>
      (playlists ?? []).some(code => byCode.get(code)?.channel_id !== channel)
        ? [{ field: 'playlists', message: 'A playlist is not there, or not the channel’s own.' }]
        : [],
  }
}
export type OwnPlaylists = Omit<ReturnType<typeof ownPlaylists>, 'savePlaylist'>
