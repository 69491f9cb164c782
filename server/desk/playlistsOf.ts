import type { Playlist } from '../../core/playlist/playlist'
import type { WorkspaceItemStore } from '../data/workspaceItems'

/** The playlists of a workspace that hold a brief. */
export const playlistsOf = (
  workspaceItems: WorkspaceItemStore,
  workspace: string,
  brief: string,
): (Playlist & { id: string })[] =>
  workspaceItems
    .holding(workspace, 'playlist', brief)
    .map(({ id, value }) => ({ id, ...value }))
    .filter(({ entries }) => entries.some(({ kind, id }) => kind === 'brief' && id === brief))
