import { z } from 'zod'
import { boundedText } from '../brief/field'
import { languageInput, regionCode, regionInput } from '../text/inputs'
import { ORDERS } from './order'

/** A brief of mine, or a video that is out, by its id. */
export const playlistEntrySchema = z.object({
  kind: z.enum(['brief', 'video']),
  id: z.string().min(1).max(120),
})
export type PlaylistEntry = z.infer<typeof playlistEntrySchema>

/** One thing twice in a list is a slip, and is kept once. */
const once = (entries: PlaylistEntry[]): PlaylistEntry[] => {
  const seen = new Set<string>()
  return entries.filter(({ kind, id }) => !seen.has(`${kind} ${id}`) && seen.add(`${kind} ${id}`))
}

/** A playlist: a page of its own that search finds, and what it holds. */
export const playlistShape = {
  title: boundedText('title', 1000),
  description: boundedText('text', 20_000),
  /** The phrase it is to be found by; '' while there is none. */
  lead: z.string().trim().max(200, 'A lead phrase can be 200 characters at most.'),
  /** Where it is searched for; `null` for everywhere. */
  region: regionCode.nullable(),
  language: languageInput,
  order: z.enum(ORDERS),
  /** In the order of `hand`. */
  entries: z.array(playlistEntrySchema).max(500, 'A playlist can hold 500 videos here.').transform(once),
}
export const playlistSchema = z.object({
  title: playlistShape.title.default(''),
  description: playlistShape.description.default(''),
  lead: playlistShape.lead.default(''),
  region: regionInput,
  language: playlistShape.language,
  order: playlistShape.order.default('hand'),
  entries: playlistShape.entries.default([]),
})
export type Playlist = z.infer<typeof playlistSchema>
