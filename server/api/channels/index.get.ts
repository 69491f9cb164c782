import { workspaceOf } from '../../http/workspaceOf'
import { route } from '../../http/route'
import { channelStats } from '../../rivals/channelLook'

/** Channels known by a part of their name, or those of the workspace's rival set. */
export default route('GET /api/channels', (event, runtime, { query }) => {
  const { find, workspace } = query
  const { videos, rivalSets } = runtime
  const rows = find
    ? videos.findChannels(find)
    : rivalSets.of(workspaceOf(runtime, workspace).id).map(id => videos.channel(id)!)
  return { channels: rows.map(row => channelStats(row, find ? [] : videos.ofChannel(row.id))) }
})
