import { listOf, noSuchList } from '../../../http/listOf'
import { Problem } from '../../../http/problem'
import { route } from '../../../http/route'

export default route('PATCH /api/lists/:id', async (event, runtime, { body }) => {
  const { id } = listOf(event, runtime)
  const { language, ...change } = body
  const result = runtime.lists.patch(id, change, language)
  if (result.kind === 'absent') throw noSuchList()
  if (result.kind === 'stale')
    throw new Problem(
      409,
      'stale',
      'This list was changed in another window since you opened it. Nothing was overwritten.',
      { list: result.list },
    )
  return result.list
})
