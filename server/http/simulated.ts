import type { Switchboard } from '../services/switchboard'
import { Problem } from './problem'

/** The simulated services. @throws Problem 409 while they are not in use: time elsewhere cannot be moved. */
export function simulated({ services }: { services: Switchboard }): Switchboard {
  if (services.isLive() || services.isNone())
    throw new Problem(409, 'live-service', 'The simulated services are not in use. The clock moves only for them.')
  return services
}
