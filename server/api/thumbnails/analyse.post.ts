import { DEFAULT_PROFILE } from '../../../core/draft/limits'
import { MOST_PICTURE_BYTES } from '../../../core/thumbnail/picture'
import { route } from '../../http/route'
import { knownProfile } from '../../http/scoring'
import { withUpload } from '../../http/upload'
import { analysed } from '../../release/thumbnails'

/** What a picture is worth as a thumbnail among those of a page; it is not kept. */
export default route('POST /api/thumbnails/analyse', (event, runtime, { query }) =>
  withUpload(
    event,
    runtime.uploads,
    ({ file }) =>
      analysed(
        runtime,
        file,
        { ...query, region: query.region ?? '' },
        knownProfile(runtime, query.profile) ?? DEFAULT_PROFILE,
      ),
    MOST_PICTURE_BYTES,
  ),
)
