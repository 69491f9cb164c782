import { Problem } from '../../../http/problem'
import { paramOf, route } from '../../../http/route'

export default route('GET /api/jobs/:id', (event, { jobs }) => {
  const state = jobs.get(paramOf(event, 'id'))
  if (!state) throw new Problem(404, 'no-such-job', 'This job does not exist. It may have ended long ago.')
  return state
})
