import { z } from 'zod'
import { briefFieldsSchema } from '../brief'

/** A brief as it once stood, under a name. */
export const snapshotSchema = z.object({
  name: z.string().trim().min(1, 'Give the version a name.').max(120, 'A name can be 120 characters at most.'),
  fields: briefFieldsSchema,
})
export type Snapshot = z.infer<typeof snapshotSchema>
