import { resultsQuerySchema } from '../../../shared/rivals'
import { keptPage } from '../../demand/assess'
import { queryOf, route } from '../../http/route'
import { askable } from '../../http/askable'
import { channelStats, lookAtChannel } from '../../rivals/channelLook'

/** The channels of page one looked at: founded, videos, median views and the like. */
export default route(async (event, open) => {
  const runtime = askable(event, open)
  const { phrase, region, language, depth, from } = queryOf(event, resultsQuerySchema)
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
