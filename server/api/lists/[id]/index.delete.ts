import { listOf, noSuchList } from '../../../http/listOf'
import { route } from '../../../http/route'
import { changedSince } from '../../../http/changedSince'

/** Marks a list deleted; it can be restored. With `unchangedSince` one changed later stays. */
export default route('DELETE /api/lists/:id', (event, runtime, { query }) => {
  const { id } = listOf(event, runtime)
  const since = query.unchangedSince
  if (!runtime.lists.remove(id, since)) throw since === undefined ? noSuchList() : changedSince('list')
  return { ok: true }
})
