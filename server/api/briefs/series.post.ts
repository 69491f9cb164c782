import { setResponseStatus } from 'h3'
import { templateFault } from '../../../core/demand/cross'
import { writerOf } from '../../access/admit'
import { forPlace } from '../../demand/series'
import { noSuchBrief } from '../../http/briefOf'
import { Problem } from '../../http/problem'
import { route } from '../../http/route'

/** Briefs of one topic for many places, made in one go from one of them. */
export default route('POST /api/briefs/series', async (event, { briefs }, { body }) => {
  const { pattern, places, template, phrases } = body
  const fault = templateFault(template)
  if (fault) throw new Problem(400, 'bad-input', fault)
  const from = briefs.get(pattern)
  if (!from || from.deletedAt !== null) throw noSuchBrief()
  const made = briefs.createSeries(
    [...new Set(places)].map(place => ({ place, fields: forPlace(from.fields, place, template, phrases[place]) })),
    from.workspaceId,
    writerOf(event),
  )
  setResponseStatus(event, 201)
  return { briefs: made }
})
