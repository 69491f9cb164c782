import { Problem } from '../../http/problem'
import { route } from '../../http/route'

/** Makes the simulated services misbehave; only where FONETRA_STANDIN_CONTROL=1 allows it. */
export default route('PUT /api/standin/behaviour', async (event, { services }, { body }) => {
  if (process.env.FONETRA_STANDIN_CONTROL !== '1')
    throw new Problem(403, 'not-allowed', 'Start with FONETRA_STANDIN_CONTROL=1 to control the simulated services.')
  return services.behave(body)
})
