import { tagSuggestions } from '../../desk/tagSuggestions'
import { askable } from '../../http/askable'
import { route } from '../../http/route'
import { profileOf } from '../../http/scoring'
import { workspaceOf } from '../../http/workspaceOf'

/** Tags for a draft, each with its reasons. */
export default route('POST /api/tags/suggest', async (event, open, { body }) => {
  const runtime = askable(event, open)
  const { all, workspace, region, profile, ...question } = body
  const { suggestions, held, current } = await tagSuggestions(runtime, {
    ...question,
    region: region ?? '',
    profile: profileOf(runtime, profile),
    workspace: workspaceOf(runtime, workspace).id,
  })
  return { suggestions: all ? [...suggestions, ...held] : suggestions, heldBack: held.length, current }
})
