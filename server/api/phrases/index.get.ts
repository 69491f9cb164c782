import { setResponseHeader } from 'h3'
import { phrasesQuerySchema } from '../../../shared/phrases'
import { lookUp } from '../../demand/lookUp'
import { trayOf } from '../../http/trayOf'
import { queryOf, route } from '../../http/route'

export default route(async (event, { phrases, services, asked, search, briefs, workspaces }) => {
  const query = queryOf(event, phrasesQuerySchema)
  const region = query.region ?? ''
  const look = await lookUp({ phrases, services, asked }, query.seed, region, query.language, query.anew)
  const { own, settings } = workspaces.standing(query.workspace)
  setResponseHeader(event, 'Content-Type', 'application/json; charset=utf-8')
  return search.answer({ query: { ...query, region }, look: look.id, missing: look.missing, without: trayOf(briefs, query), own, weights: settings.weights })
})
