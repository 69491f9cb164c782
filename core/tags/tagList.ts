import { z } from 'zod'

/** A named list of tags of a workspace. */
export const tagListSchema = z.object({
  name: z.string().trim().min(1, 'Give the list a name.').max(120, 'A name can be 120 characters at most.'),
  tags: z
    .array(z.string().trim().min(1, 'A tag cannot be empty.').max(200, 'A tag can be 200 characters at most.'))
    .max(500, 'A list can have 500 tags at most.'),
})
export type TagList = z.infer<typeof tagListSchema>
