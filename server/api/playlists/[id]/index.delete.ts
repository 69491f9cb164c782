import { rescorePlaylist } from '../../../desk/playlists'
import { route } from '../../../http/route'
import { itemOf } from '../../../http/workspaceItem'

/** Deletes a playlist; what was in it stays. Making it again under its id brings it back. */
export default route('DELETE /api/playlists/:id', (event, runtime) => {
  const { workspace, item } = itemOf(event, runtime, 'playlist')
  runtime.workspaceItems.remove(workspace, item.id)
  rescorePlaylist(runtime, item.value)
  return { ok: true }
})
