import { whoIs } from '../../access/admit'
import { network } from '../../access/network'
import { route } from '../../http/route'

/** Who asks, and whether a key is needed. */
export default route('GET /api/session', async (event, { access, services }) => ({
  needed: network().shared,
  who: await whoIs(event, () => access),
  now: services.now(),
}))
