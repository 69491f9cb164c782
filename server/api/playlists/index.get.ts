import { playlistLines } from '../../desk/playlists'
import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'

export default route('GET /api/playlists', (event, runtime, { query }) => ({
  playlists: playlistLines(runtime, workspaceOf(runtime, query.workspace).id),
}))
