import { packTags } from '../../../core/draft/tags'
import { route } from '../../http/route'
import { profileOf } from '../../http/scoring'

export default route('POST /api/tags/pack', async (event, runtime, { body }) => {
  const { candidates, lead, profile, pinned } = body
  return packTags(candidates, lead, profileOf(runtime, profile), pinned)
})
