import { Problem } from '../../../http/problem'
import { paramOf, route } from '../../../http/route'
import { withRetry } from '../../../services/retry'

/** The captions of a video, as the site has them. They are asked for each time, and not kept. */
export default route('POST /api/videos/:id/captions', async (event, { services }, { body: { language } }) => {
  const { data } = await withRetry(() => services.site.captions(paramOf(event, 'id'), language))
  if (!data) throw new Problem(404, 'no-captions', 'The site has no captions of this video.')
  return data
})
