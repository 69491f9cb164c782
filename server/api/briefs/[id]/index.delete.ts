import { getQuery } from 'h3'
import { noSuchBrief } from '../../../http/briefOf'
import { paramOf, route } from '../../../http/route'
import { changedSince, unchangedSince } from '../../../http/unchangedSince'

/**
 * Marks a brief deleted; with `unchangedSince` one changed later stays; with `forever=1` deletes one so marked, with
 * its history.
 */
export default route((event, { briefs }) => {
  const id = paramOf(event, 'id')
  const since = unchangedSince(event)
  if (getQuery(event).forever === '1' ? briefs.purge(id) : briefs.remove(id, since)) return { ok: true }
  throw since !== undefined && briefs.get(id)?.deletedAt === null ? changedSince('brief') : noSuchBrief()
})
