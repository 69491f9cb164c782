import { setResponseStatus } from 'h3'
import { rescorePlaylist } from '../../desk/playlists'
import { route } from '../../http/route'
import { makeItem } from '../../http/workspaceItem'

export default route('POST /api/playlists', (event, runtime, { body }) => {
  const { id, workspace, ...value } = body
  const made = makeItem(runtime, 'playlist', value, { id, workspace })
  rescorePlaylist(runtime, value)
  setResponseStatus(event, 201)
  return made
})
