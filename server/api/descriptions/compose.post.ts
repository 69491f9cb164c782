import { composeDescription } from '../../../core/descriptions/compose'
import { placesIn } from '../../demand/placesIn'
import { route } from '../../http/route'
import { profileOf } from '../../http/scoring'

/** A first draft of a description from phrases and what a person gave. */
export default route('POST /api/descriptions/compose', (event, runtime, { body }) =>
  composeDescription({
    ...body,
    profile: profileOf(runtime, body.profile),
    places: placesIn(runtime.places.names(), [body.phrases.lead, ...body.phrases.support], body.language, body.town),
  }),
)
