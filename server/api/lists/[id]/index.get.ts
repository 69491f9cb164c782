import { z } from 'zod'
import { languageInput, regionInput } from '../../../../shared/text'
import { rowOf } from '../../../demand/rows'
import { listOf } from '../../../http/listOf'
import { queryOf, route } from '../../../http/route'

const question = z.object({ region: regionInput, language: languageInput.default('en'), workspace: z.string().max(60).optional(), limit: z.coerce.number().int().min(1).max(2000).default(500), offset: z.coerce.number().int().min(0).default(0) })

/** A list with its first phrases, or those after some, their notes, and what is known of them in a region. */
export default route((event, runtime) => {
  const list = listOf(event, runtime)
  const { region, language, workspace, limit, offset } = queryOf(event, question)
  const { own, settings } = runtime.workspaces.standing(workspace)
  const tell = rowOf(runtime, region ?? '', language, { own, weights: settings.weights })
  return { ...list, rows: runtime.lists.phrases(list.id, { limit, offset }).map(each => ({ ...each, row: tell(each.phrase) })) }
})
