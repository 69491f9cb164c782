import { Problem } from '../http/problem'
import { answering } from '../http/route'

export default answering(event => {
  throw new Problem(
    404,
    'no-such-path',
    `There is nothing at ${event.path.split('?')[0]!.slice(0, 200)}. See docs/api.md for what there is.`,
  )
})
