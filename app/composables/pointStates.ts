import type { PointState } from '../../core/release/point'

/** A point's state as a shape, and in words. */
export const POINT_SHAPES: Record<PointState, { shape: 'met' | 'missing' | 'unanswered' | 'n/a'; name: string }> = {
  'done': { shape: 'met', name: 'Done' },
  'open': { shape: 'missing', name: 'Open' },
  'unanswered': { shape: 'unanswered', name: 'Not answered' },
  'not-allowed': { shape: 'n/a', name: 'Not allowed' },
  'n/a': { shape: 'n/a', name: 'Does not apply' },
}

/** Where a point that Fonetra sees for itself is seen to: a screen and its part. */
export const SEEN_TO: Record<string, { path?: '/release'; part?: string }> = {
  thumbnail: { path: '/release', part: 'thumbnail' },
  cards: { path: '/release', part: 'video' },
  endScreen: { path: '/release', part: 'video' },
  title: {},
  description: {},
  gaps: {},
  links: {},
  tags: {},
  hashtags: {},
  file: {},
  chapters: { part: 'spoken' },
  captions: { part: 'spoken' },
  playlist: { part: 'playlist' },
}
