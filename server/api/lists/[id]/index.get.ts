import { rowOf } from '../../../demand/rows'
import { listOf } from '../../../http/listOf'
import { route } from '../../../http/route'

/** A list with its first phrases, or those after some, their notes, and what is known of them in a region. */
export default route('GET /api/lists/:id', (event, runtime, { query }) => {
  const list = listOf(event, runtime)
  const { region, language, workspace, limit, offset } = query
  const { own, settings } = runtime.workspaces.standing(workspace)
  const rowFor = rowOf(runtime, region ?? '', language, { own, weights: settings.weights })
  return {
    ...list,
    rows: runtime.lists.phrases(list.id, { limit, offset }).map(each => ({ ...each, row: rowFor(each.phrase) })),
  }
})
