import { toSiteVideo } from '../../data/videos'
import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'

/** The texts of the channel's own videos, as last seen, newest first; or of one of them. */
export default route('GET /api/videos/texts', (event, runtime, { query }) => {
  const { videos } = runtime
  const channel = workspaceOf(runtime, query.workspace).channelId
  const one = query.video === undefined ? null : videos.video(query.video)
  const found =
    channel === null
      ? []
      : query.video === undefined
        ? videos.ofChannel(channel)
        : one?.channel_id === channel
          ? [one]
          : []
  return {
    videos: found.map(row => {
      const { id, title, description, tags } = toSiteVideo(row)
      return { id, title, description, tags }
    }),
  }
})
