import { z } from 'zod'
import { languageInput, regionInput } from '../../../core/text/inputs'
import { fetchMissingVolumes } from '../../demand/lookUp'
import { rowOf } from '../../demand/rows'
import { askable } from '../../http/askable'
import { bodyOf, route } from '../../http/route'

const question = z.object({
  phrases: z.array(z.string().max(500)).max(2000),
  region: regionInput,
  language: languageInput.default('en'),
  workspace: z.string().max(60).optional(),
})

/** Figures of the phrases named, as far as anybody knows them; unknown ones are left out. */
export default route(async (event, runtime) => {
  const { phrases, places, workspaces } = runtime
  const { phrases: list, region, language, workspace } = await bodyOf(event, question)
  const missing = await fetchMissingVolumes(askable(event, runtime), list, region ?? '', language)
  const { own, settings } = workspaces.standing(workspace)
  const tell = rowOf({ phrases, places }, region ?? '', language, { own, weights: settings.weights })
  return { rows: list.flatMap(phrase => tell(phrase) ?? []), missing }
})
