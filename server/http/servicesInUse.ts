import type { ServicesInUse } from '../../shared/services'
import type { AttachedStore } from '../data/attached'

/** The services in use. The key of a live one is never told, only whether there is one. */
export function servicesInUse(attached: AttachedStore): ServicesInUse {
  const live = attached.get()
  const use = live ? 'live' : attached.isNone() ? 'none' : 'simulated'
  return { use, live: live && { address: live.address, hasKey: live.key !== null } }
}
