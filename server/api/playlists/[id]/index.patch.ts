import { rescorePlaylist } from '../../../desk/playlists'
import { route } from '../../../http/route'
import { itemOf, savedItem } from '../../../http/workspaceItem'

export default route('PATCH /api/playlists/:id', (event, runtime, { body }) => {
  const { workspace, item } = itemOf(event, runtime, 'playlist')
  const { revision, ...changed } = body
  const value = { ...item.value, ...changed }
  const saved = savedItem(
    'playlist',
    runtime.workspaceItems.save(workspace, { id: item.id, kind: 'playlist', revision, value }),
  )
  rescorePlaylist(runtime, item.value, value)
  return saved
})
