import type { SessionAnswer } from '../../../shared/access'
import { whoIs } from '../../access/admit'
import { network } from '../../access/network'
import { route } from '../../http/route'

/** Who asks, and whether a key is needed. */
export default route(async (event, { access }): Promise<SessionAnswer> => ({
  needed: network().shared,
  who: await whoIs(event, () => access),
}))
