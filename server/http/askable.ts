import type { H3Event } from 'h3'
import type { Who } from '../../shared/access'
import type { Runtime } from '../runtime'

/**
 * What a request works with, and whether it may ask the services. A live service's calls are spent
 * only by who may write, and only by POST: a GET, which a link, a robot or a reload sends, is answered
 * from what is kept. The simulated services cost nothing and are asked either way; where no service is in use, what is
 * kept is all there is.
 */
export function askable(event: H3Event, runtime: Runtime): Runtime & { mayAsk: boolean; ownDataOnly: boolean } {
  const { services } = runtime
  const reads = (event.context.who as Who | undefined)?.role === 'reader'
  return {
    ...runtime,
    ownDataOnly: services.isNone(),
    mayAsk: !services.isNone() && (!services.isLive() || (event.method === 'POST' && !reads)),
  }
}
