import { keptPage } from '../../demand/assess'
import { route } from '../../http/route'
import { askable } from '../../http/askable'
import { channelStats, lookAtChannel } from '../../rivals/channelLook'

/** The channels of page one looked at: founded, videos, median views and the like. */
export default route('GET /api/results/channels', async (event, open, { query }) => {
  const runtime = askable(event, open)
  const { phrase, region, language, depth, from } = query
  const { page } = await keptPage(runtime, phrase, region ?? '', language, depth, from)
  const ids = [
    ...new Set(
      runtime.results
        .seats(page, 20)
        .filter(seat => !seat.off)
        .map(seat => seat.channel_id),
    ),
  ]
  const problems = await Promise.all(ids.map(id => lookAtChannel(runtime, id, language)))
  return {
    channels: ids.map(id => channelStats(runtime.videos.channel(id)!, runtime.videos.ofChannel(id))),
    missing: problems.filter(problem => problem !== null).length,
  }
})
