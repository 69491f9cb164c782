import { z } from 'zod'
import { boundedText } from '../field'
import { PATTERN_KINDS } from '../../titles/pattern'

/** A title considered for a video, beside others. */
export const candidateSchema = z.object({
  title: boundedText('title', 2000).trim().min(1, 'A candidate needs a title.'),
  /** What an idea added to the phrase; `null` for one that a person wrote. */
  pattern: z.enum(PATTERN_KINDS).nullable().default(null),
  /** Discarded ones stay, so that they do not come back as new. */
  state: z.enum(['open', 'kept', 'discarded']).default('open'),
})
export type Candidate = z.infer<typeof candidateSchema>
