import type { H3Event } from 'h3'
import type { Who } from '../../shared/access'
import type { Runtime } from '../runtime'

/**
 * What a request works with, and whether it may ask the services. A live service's calls are spent
 * only by who may write, and only by POST: a GET, which a link, a robot or a reload sends, is answered
 * from what is kept. The simulated services cost nothing and are asked either way.
 */
export function askable(event: H3Event, runtime: Runtime): Runtime & { mayAsk: boolean } {
  const reads = (event.context.who as Who | undefined)?.role === 'reader'
  return { ...runtime, mayAsk: !runtime.services.isLive() || (event.method === 'POST' && !reads) }
}
