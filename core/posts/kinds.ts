import type { Unit } from '../text/count'
import type { OutletKind } from './outlet'
import kinds from './kinds.json' with { type: 'json' }

/** The kinds of text a video is told of with. */
export const POST_KINDS = ['short', 'long', 'pushTitle', 'pushText', 'newsletter', 'answer', 'article'] as const
export type PostKind = (typeof POST_KINDS)[number]

/** A kind as data: how long it may be, and where it belongs. */
export interface PostKindOf {
  id: PostKind
  name: string
  limit: number
  unit: Unit
  /** Outlets it is meant for. */
  outlets: readonly OutletKind[]
}

export const POSTS: readonly PostKindOf[] = kinds as PostKindOf[]
export const postKind = (id: PostKind): PostKindOf => POSTS.find(kind => kind.id === id)!
