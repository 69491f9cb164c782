/**
 * How a point of the release sheet stands: done; open; a question that nobody has answered, which is not a no;
 * something that the account may not do; or something that does not apply.
 */
export type PointState = 'done' | 'open' | 'unanswered' | 'not-allowed' | 'n/a'

/** The points that Fonetra sees for itself, in their order. */
export const SEEN_IDS = [
  'title',
  'description',
  'gaps',
  'links',
  'tags',
  'hashtags',
  'chapters',
  'file',
  'captions',
  'thumbnail',
  'cards',
  'endScreen',
  'playlist',
] as const
export type SeenId = (typeof SEEN_IDS)[number]
/** The point of the hour of release. */
export const HOUR_ID = 'hour'

/** What was found at a point, and where it falls short, what to do. */
export interface Found {
  state: PointState
  message: string
}

export const done = (message: string): Found => ({ state: 'done', message })
export const open = (message: string): Found => ({ state: 'open', message })
export const unanswered = (message: string): Found => ({ state: 'unanswered', message })
export const notAllowed = (message: string): Found => ({ state: 'not-allowed', message })
export const na = (message: string): Found => ({ state: 'n/a', message })
