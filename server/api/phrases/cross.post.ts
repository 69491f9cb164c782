import { crossPlaces } from '../../../core/demand/cross'
import { Problem } from '../../http/problem'
import { route } from '../../http/route'

/** Every phrase with every place. They are assessed by the usual route. */
export default route('POST /api/phrases/cross', async (event, _runtime, { body }) => {
  const { phrases, places, templates } = body
  try {
    return { phrases: crossPlaces(phrases, places, templates) }
  } catch (error) {
    if (error instanceof RangeError) throw new Problem(400, 'too-many', error.message)
    throw error
  }
})
