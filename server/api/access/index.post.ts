import { setResponseStatus } from 'h3'
import { newKeySchema } from '../../../shared/access'
import { bodyOf, route } from '../../http/route'

/** Creates a key; the answer is the only time it is shown. */
export default route(async (event, { access }) => {
  const { name, role } = await bodyOf(event, newKeySchema)
  setResponseStatus(event, 201)
  return access.make(name, role)
})
