import { z } from 'zod'
import { Problem } from '../../http/problem'
import { bodyOf, route } from '../../http/route'

const part = z.number().min(0).max(1).optional()
const settings = z.object({ delayMs: z.number().min(0).max(60_000).optional(), refuse: part, fail: part, half: part })

/** Makes the simulated services misbehave; only where FONETRA_STANDIN_CONTROL=1 allows it. */
export default route(async (event, { services }) => {
  if (process.env.FONETRA_STANDIN_CONTROL !== '1')
    throw new Problem(403, 'not-allowed', 'Start with FONETRA_STANDIN_CONTROL=1 to control the simulated services.')
  return services.behave(await bodyOf(event, settings))
})
