import { setResponseHeader } from 'h3'
import { lookUp } from '../../demand/lookUp'
import { askable } from '../../http/askable'
import { trayOf } from '../../http/trayOf'
import { route } from '../../http/route'

export default route('GET /api/phrases', async (event, runtime, { query }) => {
  const { search, briefs, workspaces } = runtime
  const region = query.region ?? ''
  const looks = await Promise.all(
    query.seed.map(seed => lookUp(askable(event, runtime), seed, region, query.language, query.anew)),
  )
  const { own, settings } = workspaces.standing(query.workspace)
  setResponseHeader(event, 'Content-Type', 'application/json; charset=utf-8')
  return search.answer({
    query: { ...query, region },
    looks: looks.map(look => look.id),
    missing: [...new Set(looks.flatMap(look => look.missing))],
    without: trayOf(briefs, query),
    own,
    weights: settings.weights,
  })
})
