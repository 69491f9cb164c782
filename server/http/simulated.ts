import type { Switchboard } from '../services/switchboard'
import { Problem } from './problem'

/** The simulated services. @throws Problem 409 while a live service is connected: time there cannot be moved. */
export function simulated({ services }: { services: Switchboard }): Switchboard {
  if (services.isLive())
    throw new Problem(409, 'live-service', 'A live service is connected. The clock moves only for the simulated ones.')
  return services
}
