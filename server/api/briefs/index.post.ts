import { setResponseStatus } from 'h3'
import { newBriefSchema } from '../../../shared/brief'
import { Problem } from '../../http/problem'
import { bodyOf, route } from '../../http/route'

export default route(async (event, { briefs }) => {
  const { id, fields, copyOf } = await bodyOf(event, newBriefSchema)
  const brief = copyOf ? briefs.duplicate(copyOf) : briefs.create(fields ?? {}, id)
  if (!brief) throw new Problem(404, 'no-such-brief', 'The brief to copy is not there any more.')
  setResponseStatus(event, 201)
  return brief
})
