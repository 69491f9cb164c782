import { z } from 'zod'
import { choiceField } from '../field'

/** The id of the limit profile of the site that the video is for. */
export const profile = choiceField({
  label: 'Limits',
  schema: z.string().max(100),
  empty: 'video-site',
  shown: value => value,
})
