import { Problem } from '../../../http/problem'
import { paramOf, route } from '../../../http/route'

export default route('DELETE /api/jobs/:id', (event, { jobs }) => {
  const state = jobs.stop(paramOf(event, 'id'))
  if (!state) throw new Problem(404, 'no-such-job', 'This job does not exist. It may have ended long ago.')
  return state
})
