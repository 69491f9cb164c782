import { z } from 'zod'
import { ofWorkspace } from './api/inputs'

/** What can be found, in the order in which kinds of equal rank stand. */
export const FOUND_KINDS = [
  ...(['brief', 'video', 'phrase', 'list', 'playlist', 'block', 'tagList'] as const),
  ...(['ruleSet', 'limitProfile', 'endLayout', 'outlet'] as const),
] as const
export type FoundKind = (typeof FOUND_KINDS)[number]

export const findQuery = ofWorkspace.extend({
  /** Words, or their beginnings. */
  q: z.string().max(200, 'Look for 200 characters at most.'),
})
/** A thing that was found. */
export interface Found {
  kind: FoundKind
  /** A phrase is its own. */
  id: string
  text: string
  /** More for better. */
  score: number
}
export interface FindAnswer {
  /** Best first, a few of each kind. */
  rows: Found[]
  /** Where phrases were looked for; `null` for everywhere. */
  region: string | null
}
