import { route } from '../../http/route'

/** Chapters cut from what is spoken. */
export default route('POST /api/chapters/cut', async (event, { scoring }, { body: { captions, ...question } }) => ({
  chapters: await scoring.cut(captions, question),
}))
