import { playlistSuggestions } from '../../desk/playlists'
import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'

/** Playlists a brief belongs to, and those that could be made of what is won together. */
export default route('GET /api/playlists/suggest', (event, runtime, { query }) =>
  playlistSuggestions(runtime, { ...query, workspace: workspaceOf(runtime, query.workspace).id }),
)
