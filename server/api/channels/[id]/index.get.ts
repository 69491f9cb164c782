import { z } from 'zod'
import { languageInput } from '../../../../core/text/inputs'
import { Problem } from '../../../http/problem'
import { paramOf, queryOf, route } from '../../../http/route'
import { askable } from '../../../http/askable'
import { answerChannel, lookAtChannel } from '../../../rivals/channelLook'

const question = z.object({
  language: languageInput.default('en'),
  workspace: z.string().max(60).optional(),
  anew: z.enum(['0', '1']).optional(),
})

export default route(async (event, open) => {
  const runtime = askable(event, open)
  const { language, workspace, anew } = queryOf(event, question)
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
