import { z } from 'zod'
import { languageInput, regionInput } from '../../../../core/text/inputs'
import { rowOf } from '../../../demand/rows'
import { listOf } from '../../../http/listOf'
import { queryOf, route } from '../../../http/route'

const LIMIT = 'A limit is 1 to 2,000.'
const whole = z.coerce.number('Give a whole number.').int('Give a whole number.')
const question = z.object({
  region: regionInput,
  language: languageInput.default('en'),
  workspace: z.string().max(60).optional(),
  limit: whole.pipe(z.number().min(1, LIMIT).max(2000, LIMIT)).default(500),
  offset: whole.pipe(z.number().min(0, 'An offset is 0 or more.')).default(0),
})

/** A list with its first phrases, or those after some, their notes, and what is known of them in a region. */
export default route((event, runtime) => {
  const list = listOf(event, runtime)
  const { region, language, workspace, limit, offset } = queryOf(event, question)
  const { own, settings } = runtime.workspaces.standing(workspace)
  const tell = rowOf(runtime, region ?? '', language, { own, weights: settings.weights })
  return {
    ...list,
    rows: runtime.lists.phrases(list.id, { limit, offset }).map(each => ({ ...each, row: tell(each.phrase) })),
  }
})
