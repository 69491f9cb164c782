import { z } from 'zod'

/** A promise that is never spoken and stays all the same, with the reason why. */
export const keptPromiseSchema = z.object({
  text: z.string().trim().min(1).max(600),
  reason: z.string().trim().min(1, 'Say in a word why it stays.').max(300, 'A reason can be 300 characters at most.'),
})
export type KeptPromise = z.infer<typeof keptPromiseSchema>
