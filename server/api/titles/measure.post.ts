import { pageTitles } from '../../demand/pageTitles'
import { route } from '../../http/route'
import { profileOf, ruleSetOf } from '../../http/scoring'

/** Titles beside each other: points, cuts, phrases held, and the closest title of the result pages kept. */
export default route('POST /api/titles/measure', async (event, runtime, { body }) => {
  const { titles, phrases, region, language, ruleSet, profile } = body
  return {
    titles: await runtime.scoring.measure({
      titles,
      phrases,
      language,
      ruleSet: ruleSetOf(runtime, ruleSet),
      profile: profileOf(runtime, profile),
      pageTitles: pageTitles(runtime, [phrases.lead, ...phrases.support], region ?? '', language),
    }),
  }
})
