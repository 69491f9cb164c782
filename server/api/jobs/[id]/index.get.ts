import { Problem } from '../../../http/problem'
import { paramOf, route } from '../../../http/route'

export default route((event, { jobs }) => {
  const state = jobs.get(paramOf(event, 'id'))
  if (!state) throw new Problem(404, 'no-such-job', 'There is no such job; it may have ended long ago.')
  return state
})
