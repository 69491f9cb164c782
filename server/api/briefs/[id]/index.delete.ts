import { noSuchBrief } from '../../../http/briefOf'
import { paramOf, route } from '../../../http/route'
import { changedSince } from '../../../http/changedSince'

/**
 * Marks a brief deleted; with `unchangedSince` one changed later stays; with `forever=1` deletes one so marked, with
 * its history.
 */
export default route('DELETE /api/briefs/:id', (event, { briefs }, { query }) => {
  const id = paramOf(event, 'id')
  const since = query.unchangedSince
  if (query.forever === '1' ? briefs.purge(id) : briefs.remove(id, since)) return { ok: true }
  throw since !== undefined && briefs.get(id)?.deletedAt === null ? changedSince('brief') : noSuchBrief()
})
