import { DEFAULT_PROFILE } from '../../../core/draft/limits'
import { RULE_SETS } from '../../../core/draft/ruleset'
import { knownProfile, knownRuleSet } from '../../http/scoring'
import { draftContext } from '../../desk/draftContext'
import { stagesOf } from '../../release/stages'
import { route } from '../../http/route'

/** The briefs with their percent, worked out for those changed since. */
export default route('GET /api/briefs', async (event, runtime, { query }) => {
  const { briefs, scoring } = runtime
  const { lines, listed, unscored } = briefs.list(query.workspace)
  const percents = await scoring.percents(
    unscored.map(({ id, fields, workspaceId, seriesPlace }) => ({
      fields,
      set: knownRuleSet(runtime, fields.ruleSet) ?? RULE_SETS[0]!,
      profile: knownProfile(runtime, fields.profile) ?? DEFAULT_PROFILE,
      context: draftContext(runtime, {
        lead: fields.tray.lead ?? '',
        title: fields.title,
        tags: fields.tags,
        region: fields.region ?? '',
        language: fields.language,
        workspace: workspaceId,
        town: seriesPlace,
        brief: id,
      }),
    })),
  )
  const scores = unscored.map(({ id, updatedAt }, i) => ({ id, updatedAt, percent: percents[i]! }))
  if (scores.length) briefs.saveScores(scores)
  const scored = new Map(scores.map(({ id, percent }) => [id, percent]))
  const stages = stagesOf(runtime, listed)
  return {
    briefs: lines.map(line => ({
      ...line,
      percent: scored.has(line.id) ? scored.get(line.id)! : line.percent,
      stage: stages.get(line.id)!,
    })),
  }
})
