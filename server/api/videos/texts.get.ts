import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'

/** The texts of the channel's own videos, as last seen, newest first. */
export default route('GET /api/videos/texts', (event, runtime, { query }) => {
  const { videos } = runtime
  const channel = workspaceOf(runtime, query.workspace).channelId
  return {
    videos:
      channel === null
        ? []
        : videos.ofChannel(channel).map(({ code, title, description, tags }) => ({
            id: code,
            title,
            description,
            tags: tags === null ? null : (JSON.parse(tags) as string[]),
          })),
  }
})
