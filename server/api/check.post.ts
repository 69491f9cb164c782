import { checkBodySchema } from '../../shared/check'
import { bodyOf, route } from '../http/route'
import { profileOf, ruleSetOf } from '../http/scoring'

export default route(async (event, { scoring }) => {
  const { draft, phrases, ruleSet, profile, language } = await bodyOf(event, checkBodySchema)
  return scoring.score(draft, phrases, ruleSetOf(ruleSet), profileOf(profile), language)
})
