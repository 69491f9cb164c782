import { pageTitles } from '../../demand/pageTitles'
import { placesIn } from '../../demand/placesIn'
import { route } from '../../http/route'
import { profileOf, ruleSetOf } from '../../http/scoring'
import { workspaceOf } from '../../http/workspaceOf'

/** Titles composed from phrases, measured against the result pages kept. */
export default route('POST /api/titles/ideas', async (event, runtime, { body }) => {
  const { phrases, region, language, ruleSet, profile, seed, count, workspace, town } = body
  const { name } = workspaceOf(runtime, workspace)
  const ideas = await runtime.scoring.ideas({
    phrases,
    language,
    ruleSet: ruleSetOf(runtime, ruleSet),
    profile: profileOf(runtime, profile),
    pageTitles: pageTitles(runtime, [phrases.lead, ...phrases.support], region ?? '', language),
    places: placesIn(runtime.places.names(), [phrases.lead, ...phrases.support], language, town),
    year: new Date(runtime.now()).getUTCFullYear(),
    ...(name ? { brand: name } : {}),
    seed,
    count,
  })
  return { ideas }
})
