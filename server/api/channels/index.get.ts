import { z } from 'zod'
import { workspaceOf } from '../../http/workspaceOf'
import { queryOf, route } from '../../http/route'
import { channelStats } from '../../rivals/channelLook'

const question = z.object({ find: z.string().max(100).optional(), workspace: z.string().max(60).optional() })

/** Channels known by a part of their name, or those of the workspace's rival set. */
export default route((event, runtime) => {
  const { find, workspace } = queryOf(event, question)
  const { videos, rivalSets } = runtime
  const rows = find
    ? videos.findChannels(find)
    : rivalSets.of(workspaceOf(runtime, workspace).id).map(id => videos.channel(id)!)
  return { channels: rows.map(row => channelStats(row, find ? [] : videos.ofChannel(row.id))) }
})
