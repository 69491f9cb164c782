import type { SitePlaylist } from '../services/contract'
import type { Db } from './open'

/** The playlists found for a phrase, best first. */
export interface PlaylistPage {
  source: string
  /** UTC milliseconds. */
  at: number
  /** Whether the site told all of it. */
  complete: boolean
  playlists: SitePlaylist[]
}

export type PlaylistPageStore = ReturnType<typeof playlistPageStore>

/** What sites find among playlists: the last answer to each phrase. */
export function playlistPageStore(db: Db) {
  const find = db.prepare<[string, string, string], { source: string; at: number; complete: 0 | 1; playlists: string }>(
    'SELECT source, at, complete, playlists FROM playlist_page WHERE phrase = ? AND language = ? AND region = ?',
  )
  const put = db.prepare(
    'INSERT OR REPLACE INTO playlist_page (phrase, language, region, source, at, complete, playlists) VALUES (?, ?, ?, ?, ?, ?, ?)',
  )
  return {
    /** @param phrase as `phraseKey` gives it. @param region '' for everywhere. */
    get(phrase: string, region: string, language: string): PlaylistPage | null {
      const found = find.get(phrase, language, region)
      return found
        ? { ...found, complete: found.complete === 1, playlists: JSON.parse(found.playlists) as SitePlaylist[] }
        : null
    },
    save(phrase: string, region: string, language: string, { source, at, complete, playlists }: PlaylistPage): void {
      put.run(phrase, language, region, source, at, Number(complete), JSON.stringify(playlists))
    },
  }
}
