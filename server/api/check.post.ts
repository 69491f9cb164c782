import { scoreDraft } from '../../core/draft/score'
import { checkBodySchema } from '../../shared/check'
import { bodyOf, route } from '../http/route'
import { profileOf, ruleSetOf } from '../http/scoring'

export default route(async (event) => {
  const { draft, phrases, ruleSet, profile, language } = await bodyOf(event, checkBodySchema)
  return scoreDraft(draft, phrases, ruleSetOf(ruleSet), profileOf(profile), language)
})
