import type { Services } from './contract'
import type { ConnectedServices } from './connect'
import { remoteServices } from './remote'
import { CALLS, SERVICE_NAMES } from './wire'

export interface Attached { address: string, key: string | null }

/** The services as the product asks them: the simulated ones, or a live one that a person attached. */
export interface Switchboard extends ConnectedServices {
  /** Attaches a live service, or goes back to the simulated ones. */
  attach: (to: Attached | null) => void
}

export function switchboard(standin: ConnectedServices, attached: Attached | null): Switchboard {
  let current: Services = attached ? remoteServices(attached) : standin
  const forwarded = Object.fromEntries(SERVICE_NAMES.map(service => [service, Object.fromEntries(Object.keys(CALLS[service]).map(method => [
    method, (...args: unknown[]) => (current[service] as unknown as Record<string, (...args: unknown[]) => Promise<unknown>>)[method]!(...args),
  ]))])) as unknown as Services
  return {
    ...forwarded,
    behave: settings => standin.behave(settings),
    close: () => standin.close(),
    attach(to) { current = to ? remoteServices(to) : standin },
  }
}
