import { listOf, noSuchList } from '../../../http/listOf'
import { route } from '../../../http/route'
import { changedSince, unchangedSince } from '../../../http/unchangedSince'

/** Marks a list deleted; it can be restored. With `unchangedSince` one changed later stays. */
export default route((event, runtime) => {
  const { id } = listOf(event, runtime)
  const since = unchangedSince(event)
  if (!runtime.lists.remove(id, since)) throw since === undefined ? noSuchList() : changedSince('list')
  return { ok: true }
})
