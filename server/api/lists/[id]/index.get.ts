import { z } from 'zod'
import { languageInput, regionInput } from '../../../../shared/text'
import { rowOf } from '../../../demand/rows'
import { listOf } from '../../../http/listOf'
import { queryOf, route } from '../../../http/route'

const question = z.object({ region: regionInput, language: languageInput.default('en'), workspace: z.string().max(60).optional() })

/** A list with its phrases, their notes, and what is known of them in a region. */
export default route((event, runtime) => {
  const list = listOf(event, runtime)
  const { region, language, workspace } = queryOf(event, question)
  const { own, settings } = runtime.workspaces.standing(workspace)
  const tell = rowOf(runtime, region ?? '', language, { own, weights: settings.weights })
  return { ...list, rows: runtime.lists.phrases(list.id).map(each => ({ ...each, row: tell(each.phrase) })) }
})
