import { route } from '../../http/route'

/** Texts that tell of a video. */
export default route('POST /api/posts/write', async (event, { scoring }, { body: { kinds, ...question } }) => ({
  posts: await scoring.posts({ ...question, ...(kinds ? { kinds } : {}) }),
}))
