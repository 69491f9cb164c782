import { rankDay } from '../../../core/ranks/standing'
import { route } from '../../http/route'
import { channelRanks } from '../../ranks/channelRanks'

/** Where all videos of the channel stand. */
export default route('GET /api/ranks/channel', (_, runtime, { query }) => {
  const { settings, workspace } = runtime.workspaces.standing(query.workspace)
  const channel = workspace?.channelId ?? null
  if (channel === null) return { rows: [], more: false }
  return channelRanks(runtime.channelSeries, {
    channel,
    region: query.region ?? '',
    kind: query.kind,
    shares: settings.shares,
    today: rankDay(runtime.now()),
  })
})
