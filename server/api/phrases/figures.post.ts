import { fetchMissingVolumes } from '../../demand/lookUp'
import { rowOf } from '../../demand/rows'
import { askable } from '../../http/askable'
import { route } from '../../http/route'

/** Figures of the phrases named, as far as anybody knows them; unknown ones are left out. */
export default route('POST /api/phrases/figures', async (event, runtime, { body }) => {
  const { phrases, places, workspaces } = runtime
  const { phrases: list, region, language, workspace } = body
  const missing = await fetchMissingVolumes(askable(event, runtime), list, region ?? '', language)
  const { own, settings } = workspaces.standing(workspace)
  const rowFor = rowOf({ phrases, places }, region ?? '', language, { own, weights: settings.weights })
  return { rows: list.flatMap(phrase => rowFor(phrase) ?? []), missing }
})
