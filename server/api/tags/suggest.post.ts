import { tagSuggestions } from '../../desk/tagSuggestions'
import { askable } from '../../http/askable'
import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'

/** Tags for a draft, each with its reasons. */
export default route('POST /api/tags/suggest', async (event, open, { body }) => {
  const runtime = askable(event, open)
  const { all, workspace, region, ...question } = body
  const { suggestions, held, current } = await tagSuggestions(runtime, {
    ...question,
    region: region ?? '',
    workspace: workspaceOf(runtime, workspace).id,
  })
  return { suggestions: all ? [...suggestions, ...held] : suggestions, heldBack: held.length, current }
})
