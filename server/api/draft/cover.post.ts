import { DEFAULT_PROFILE } from '../../../core/draft/limits'
import { route } from '../../http/route'
import { ruleSetOf } from '../../http/scoring'

/** The edits that put every phrase where the rule set asks for it. */
export default route('POST /api/draft/cover', (event, runtime, { body }) => {
  const { draft, phrases, ruleSet, language, context } = body
  return runtime.scoring.cover(draft, phrases, ruleSetOf(runtime, ruleSet), DEFAULT_PROFILE, language, context)
})
