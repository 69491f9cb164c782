import { z } from 'zod'
import { packTags } from '../../../core/draft/tags'
import { limitProfileSchema } from '../../../shared/check'
import { bodyOf, route } from '../../http/route'
import { profileOf } from '../../http/scoring'

const packBody = z.object({
  candidates: z.array(z.object({ tag: z.string().min(1).max(600), value: z.number().min(0) })).max(2000),
  lead: z.string().max(600).default(''),
  profile: z.union([z.string(), limitProfileSchema]).default('video-site'),
})

export default route(async event => {
  const { candidates, lead, profile } = await bodyOf(event, packBody)
  return packTags(candidates, lead, profileOf(profile))
})
