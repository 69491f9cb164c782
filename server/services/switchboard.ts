import type { Attached } from '../data/attached'
import { serviceError, type Answer, type Services } from './contract'
import type { ConnectedServices } from './connect'
import type { SimulatedClock } from '../../shared/services'
import { gate } from './gate'
import { remoteServices } from './remote'

/** The services as the product asks them: the simulated ones, a live one that a person attached, or none. */
export interface Switchboard extends ConnectedServices {
  /** Attaches a live service, goes back to the simulated ones, or asks none from now on. */
  attach: (to: Attached | 'none' | null) => void
  /** Whether what a source told is made up while real answers can be had: it is asked for again at any age. */
  superseded: (source: string) => boolean
  /** Whether calls go to a live service, whose quota they spend. */
  isLive: () => boolean
  /** Whether no service is asked. */
  isNone: () => boolean
  /**
   * The time by which ages of what was observed are counted, UTC milliseconds: this machine's, or that of the simulated
   * services when their clock was moved on.
   */
  now: () => number
}

type Ask = (...args: unknown[]) => Promise<Answer<unknown>>

/** A live service's figures are named after its server as well: it may have the name of a simulated one. */
const BY = ' by '
/** Said of whatever would have to be asked for. */
const NO_SERVICE =
  'No service is asked, only your own data. Import lists and result pages, or choose a service in the Library, under Sources.'
/** Clocks that differ by less, in milliseconds, are the same one. */
const SAME_TIME = 60_000

export function switchboard(standin: ConnectedServices, attached: Attached | 'none' | null): Switchboard {
  let live: { services: Services; host: string } | null = null
  let none = false
  /** Milliseconds by which the simulated services are ahead, as their last answer says. */
  let ahead = 0
  const seen = (now: number) => {
    ahead = Math.abs(now - Date.now()) > SAME_TIME ? now - Date.now() : 0
  }
  const { forget, ...gated } = gate(async (service, method, args) => {
    if (none) throw serviceError('NoService', NO_SERVICE)
    const asked = live
    const answer = await ((asked?.services ?? standin)[service] as unknown as Record<string, Ask>)[method]!(...args)
    if (asked) return { ...answer, source: `${answer.source}${BY}${asked.host}` }
    seen(answer.at)
    return answer
  })
  const attach = (to: Attached | 'none' | null) => {
    none = to === 'none'
    live = to && to !== 'none' ? { services: remoteServices(to), host: new URL(to.address).host } : null
    forget()
  }
  attach(attached)
  const timed = async (clock: Promise<SimulatedClock>) => {
    const answer = await clock
    seen(answer.now)
    return answer
  }
  return {
    ...gated,
    behave: settings => standin.behave(settings),
    clock: () => timed(standin.clock()),
    move: days => timed(standin.move(days)),
    stopMoving: () => timed(standin.stopMoving()),
    now: () => Date.now() + (live || none ? 0 : ahead),
    close: () => standin.close(),
    attach,
    isLive: () => live !== null,
    isNone: () => none,
    superseded: source => live !== null && !source.includes(BY),
  }
}
