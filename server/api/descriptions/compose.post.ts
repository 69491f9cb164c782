import { composeDescription } from '../../../core/descriptions/compose'
import { DEFAULT_PROFILE } from '../../../core/draft/limits'
import { placesIn } from '../../demand/placesIn'
import { route } from '../../http/route'

/** A first draft of a description from phrases and what a person gave. */
export default route('POST /api/descriptions/compose', (event, { places }, { body }) =>
  composeDescription({
    ...body,
    profile: DEFAULT_PROFILE,
    places: placesIn(places.names(), [body.phrases.lead, ...body.phrases.support], body.language),
  }),
)
