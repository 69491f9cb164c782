import { rankDay } from '../../../core/ranks/standing'
import { overview } from '../../http/overview'
import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'

/** Where all videos of the channel stand. */
export default route('GET /api/ranks/channel', (event, runtime, { query }) => {
  const { workspaces } = runtime
  const home = workspaceOf(runtime, query.workspace)
  if (!home.channelId) return { rows: [], total: 0, fresh: { rows: 0, brings: 0 }, more: false }
  return overview(event, runtime, 'channelRanks', home.id, {
    ...query,
    channel: home.channelId,
    region: query.region ?? '',
    shares: workspaces.settings(home.id).shares,
    today: rankDay(runtime.now()),
  })
})
