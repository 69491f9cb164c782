import { z } from 'zod'

export const archiveQuery = z.object({
  /** `1` replaces what this Fonetra holds; without it only an empty one takes an archive. */
  replace: z.enum(['0', '1'], { error: 'Say replace=1, or leave it out.' }).optional(),
})

/** What was read back from an archive. */
export interface ArchiveRead {
  briefs: number
  rows: number
  pictures: number
}
