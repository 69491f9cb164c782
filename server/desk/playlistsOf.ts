import type { Playlist } from '../../core/playlist/playlist'
import type { WorkspaceItemStore } from '../data/workspaceItems'

/** The playlists of a workspace that hold a brief. */
export const playlistsOf = (workspaceItems: WorkspaceItemStore, workspace: string, brief: string): Playlist[] =>
  workspaceItems
    .holding(workspace, 'playlist', brief)
    .map(({ value }) => value)
    .filter(({ entries }) => entries.some(({ kind, id }) => kind === 'brief' && id === brief))
