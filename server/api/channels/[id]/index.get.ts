import { Problem } from '../../../http/problem'
import { paramOf, route } from '../../../http/route'
import { askable } from '../../../http/askable'
import { answerChannel, lookAtChannel } from '../../../rivals/channelLook'

export default route('GET /api/channels/:id', async (event, open, { query }) => {
  const runtime = askable(event, open)
  const { language, workspace, anew } = query
  const id = paramOf(event, 'id')
  const problem = await lookAtChannel(runtime, id, language, anew === '1')
  const { settings, workspace: own } = runtime.workspaces.standing(workspace)
  const answer = answerChannel(runtime, id, await runtime.search.viewsModel(), {
    settings,
    region: own?.region ?? null,
    watched: own !== null && runtime.rivalSets.holds(own.id, id),
    problem,
  })
  if (!answer)
    throw new Problem(
      404,
      'unknown-channel',
      'This channel is unknown. Open it from a result page, or import its feed.',
    )
  return answer
})
