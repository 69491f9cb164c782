import { phrasesQuerySchema } from '../../../shared/phrases'
import { lookUp } from '../../demand/lookUp'
import { answerPhrases } from '../../demand/rows'
import { queryOf, route } from '../../http/route'

export default route(async (event, { phrases, services }) => {
  const startedAt = performance.now()
  const query = queryOf(event, phrasesQuerySchema)
  const look = await lookUp({ phrases, services }, query.seed, query.region ?? '', query.language)
  return answerPhrases(phrases, query, look, startedAt)
})
