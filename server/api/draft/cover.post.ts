import { route } from '../../http/route'
import { profileOf, ruleSetOf } from '../../http/scoring'

/** The edits that put every phrase where the rule set asks for it. */
export default route('POST /api/draft/cover', (event, runtime, { body }) => {
  const { draft, phrases, ruleSet, profile, language, context } = body
  return runtime.scoring.cover(
    draft,
    phrases,
    ruleSetOf(runtime, ruleSet),
    profileOf(runtime, profile),
    language,
    context,
  )
})
