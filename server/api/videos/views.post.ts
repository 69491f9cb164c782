import { changes } from '../../changes'
import { askable } from '../../http/askable'
import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'
import { startViews } from '../../ranks/viewsWork'

/** Asks for the figures of all videos of the channel that are due. */
export default route('POST /api/videos/views', (event, open, { query }) => {
  const runtime = askable(event, open)
  const { channelId } = workspaceOf(runtime, query.workspace)
  return {
    job: startViews(runtime, channelId, () => {
      changes.changedByItself('ranks')
    }),
  }
})
