import { z } from 'zod'
import { clock } from '../../captions/cue'
import { choiceField } from '../field'

/** How long the video is, in seconds; `null` while that is not known. */
export const seconds = choiceField<number | null>({
  label: 'Length',
  schema: z.number().positive('A length is more than 0.').max(360_000, 'A length is at most 100 hours.').nullable(),
  empty: null,
  shown: value => (value === null ? '' : clock(value)),
  draft: value => (value === null ? {} : { durationSeconds: value }),
})
