import { hashtagSuggestions } from '../../desk/tagSuggestions'
import { route } from '../../http/route'
import { profileOf } from '../../http/scoring'

/** Hashtags from the phrases and from page one of the lead. */
export default route('POST /api/hashtags/suggest', (event, runtime, { body }) => ({
  suggestions: hashtagSuggestions(runtime, {
    ...body,
    region: body.region ?? '',
    profile: profileOf(runtime, body.profile),
  }),
}))
