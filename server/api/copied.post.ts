import { copySources } from '../desk/copySources'
import { route } from '../http/route'
import { workspaceOf } from '../http/workspaceOf'

/** Stretches that stand in a text on a kept page of the phrases, with their source. */
export default route('POST /api/copied', async (event, runtime, { body }) => {
  const { draft, phrases, region, language, workspace } = body
  const { sources, own } = copySources(runtime, {
    phrases: [phrases.lead, ...phrases.support],
    region: region ?? '',
    language,
    workspace: workspaceOf(runtime, workspace).id,
    lead: phrases.lead,
    title: draft.title ?? '',
  })
  return { stretches: await runtime.scoring.copied(draft, sources, own, language), compared: sources.length }
})
