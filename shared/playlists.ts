import type { Belongs, NewPlaylist } from '../core/playlist/belongs'
import type { PlaylistFault } from '../core/playlist/faults'
import type { SavedPlaylist } from './workspaceItems'

/** A line of the list of playlists. */
export interface PlaylistLine extends SavedPlaylist {
  /** Searches a month for its lead; `null` where they are not known. */
  searches: number | null
  /** Of its lead among playlists; `null` until they were looked at. */
  difficulty: number | null
}

/** A brief or a video in a playlist, with what is known of it. */
export interface PlaylistRow {
  kind: 'brief' | 'video'
  id: string
  title: string
  /** The brief's lead, or the most searched phrase on whose first page the video stands; '' for none. */
  lead: string
  searches: number | null
  /** Of the lead among videos. */
  difficulty: number | null
  publishedAt: number | null
  /** A brief: not out yet. */
  planned: boolean
  gone: boolean
}

export interface PlaylistAnswer extends PlaylistLine {
  /** In the order of its rule. */
  rows: PlaylistRow[]
  faults: PlaylistFault[]
}

/** A playlist that stands for a phrase. */
export interface FoundPlaylistRow {
  rank: number
  id: string
  title: string
  description: string
  channelId: string
  channel: string
  subscribers: number | null
  videos: number
  updatedAt: number
  mine: boolean
}

export interface PlaylistPageAnswer {
  phrase: string
  /** `null` where nobody looked yet. */
  at: number | null
  source: string | null
  difficulty: number | null
  rows: FoundPlaylistRow[]
  /** Why what is told is old, or missing. */
  problem: string | null
}

export interface PlaylistSuggestions {
  /** Of the brief asked about: playlists it would fit and is not in yet. */
  belongs: (Belongs & { title: string })[]
  /** Playlists that could be made. */
  groups: (Omit<NewPlaylist, 'briefs' | 'videos'> & {
    entries: { kind: 'brief' | 'video'; id: string; title: string }[]
  })[]
}
