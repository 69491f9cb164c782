import { z } from 'zod'
import { DEFAULT_PROFILE } from '../../../core/draft/limits'
import { RULE_SETS } from '../../../core/draft/ruleset'
import { scoreDraft } from '../../../core/draft/score'
import type { BriefFields } from '../../../shared/brief'
import { queryOf, route } from '../../http/route'

/** Percent of the brief's own rule set; unknown where nothing is written yet. */
function percentOf(fields: BriefFields): number | null {
  const { title, description, tags, tray, ruleSet, language } = fields
  if (!title.trim() && !description.trim() && !tags.length) return null
  const set = RULE_SETS.find(each => each.id === ruleSet) ?? RULE_SETS[0]!
  return scoreDraft({ title, description, tags }, { lead: tray.lead ?? '', support: tray.support }, set, DEFAULT_PROFILE, language).percent
}

const question = z.object({ workspace: z.string().max(60).optional() })

export default route((event, { briefs }) => ({ briefs: briefs.list(percentOf, queryOf(event, question).workspace) }))
