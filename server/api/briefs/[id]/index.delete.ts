import { getQuery } from 'h3'
import { noSuchBrief } from '../../../http/briefOf'
import { paramOf, route } from '../../../http/route'

/** Marks a brief deleted; with `?forever=1` deletes one so marked, with its history. */
export default route((event, { briefs }) => {
  const id = paramOf(event, 'id')
  if (!(getQuery(event).forever === '1' ? briefs.purge(id) : briefs.remove(id))) throw noSuchBrief()
  return { ok: true }
})
