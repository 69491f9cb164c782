import { playlistAnswer } from '../../../desk/playlists'
import { route } from '../../../http/route'
import { itemOf, told } from '../../../http/workspaceItem'

/** A playlist with what is in it, in its order. */
export default route('GET /api/playlists/:id', (event, runtime) => {
  const { workspace, item } = itemOf(event, runtime, 'playlist')
  return playlistAnswer(runtime, workspace, told(item))
})
