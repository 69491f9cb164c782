import { Problem } from '../http/problem'
import { route } from '../http/route'

export default route(event => {
  throw new Problem(
    404,
    'no-such-path',
    `There is nothing at ${event.path.split('?')[0]!.slice(0, 200)}. See docs/api.md for what there is.`,
  )
})
