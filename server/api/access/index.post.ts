import { setResponseStatus } from 'h3'
import { route } from '../../http/route'

/** Creates a key; the answer is the only time it is shown. */
export default route('POST /api/access', async (event, { access }, { body }) => {
  const { name, role } = body
  setResponseStatus(event, 201)
  return access.make(name, role)
})
