import { route } from '../../http/route'

/** Where phrases are spoken, and how often. */
export default route('POST /api/captions/spoken', async (event, { scoring }, { body }) => {
  const { captions, phrases, language } = body
  const rows = await scoring.spoken(captions, phrases, language)
  return { rows: rows.map(({ phrase, count, first }) => ({ phrase, count, first })) }
})
