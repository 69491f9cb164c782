import { tagSuggestions } from '../../desk/tagSuggestions'
import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'

/** Tags for a draft, each with its reasons; nothing is asked of a service. */
export default route('POST /api/tags/suggest', async (event, runtime, { body }) => {
  const { all, workspace, region, ...question } = body
  const { suggestions, held, current } = await tagSuggestions(runtime, {
    ...question,
    region: region ?? '',
    workspace: workspaceOf(runtime, workspace).id,
  })
  return { suggestions: all ? [...suggestions, ...held] : suggestions, heldBack: held.length, current }
})
