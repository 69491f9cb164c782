import type { Attached } from '../data/attached'
import type { Answer, Services } from './contract'
import type { ConnectedServices } from './connect'
import { gate } from './gate'
import { remoteServices } from './remote'

/** The services as the product asks them: the simulated ones, or a live one that a person attached. */
export interface Switchboard extends ConnectedServices {
  /** Attaches a live service, or goes back to the simulated ones. */
  attach: (to: Attached | null) => void
  /** Whether what a source told is made up while real answers can be had: it is asked for again at any age. */
  superseded: (source: string) => boolean
  /** Whether calls go to a live service, whose quota they spend. */
  isLive: () => boolean
}

type Ask = (...args: unknown[]) => Promise<Answer<unknown>>

/** A live service's figures are named after its server as well: it may have the name of a simulated one. */
const BY = ' by '

export function switchboard(standin: ConnectedServices, attached: Attached | null): Switchboard {
  let live: { services: Services; host: string } | null = null
  const { forget, ...gated } = gate(async (service, method, args) => {
    const asked = live
    const answer = await ((asked?.services ?? standin)[service] as unknown as Record<string, Ask>)[method]!(...args)
    return asked ? { ...answer, source: `${answer.source}${BY}${asked.host}` } : answer
  })
  const attach = (to: Attached | null) => {
    live = to && { services: remoteServices(to), host: new URL(to.address).host }
    forget()
  }
  attach(attached)
  return {
    ...gated,
    behave: settings => standin.behave(settings),
    close: () => standin.close(),
    attach,
    isLive: () => live !== null,
    superseded: source => live !== null && !source.includes(BY),
  }
}
