import { z } from 'zod'
import type { Proposal } from '../core/next/proposal'
import { workspaceInput } from './api/inputs'

/** What is worth doing today. */
export interface NextAnswer {
  /** A handful, the most pressing first. */
  rows: Proposal[]
  /** What would be proposed, had it not been put off. */
  off: Proposal[]
  /** What was looked at: briefs, videos of the channel, phrases of videos, and videos whose words were weighed. */
  looked: { briefs: number; videos: number; ranks: number; words: number }
}

export const putOffSchema = z.object({
  workspace: workspaceInput,
  key: z.string().regex(/^[a-z]+:.{1,200}$/u, 'A key is what it is about, a colon and its name.'),
  days: z
    .number()
    .int('Give whole days.')
    .min(1, 'Put it off for a day at least.')
    .max(366, 'Put it off for a year at most.')
    .nullable()
    .default(null),
})
export const takeUpQuery = z.object({ workspace: workspaceInput, key: putOffSchema.shape.key })
