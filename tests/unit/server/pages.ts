import type { PageToKeep } from '../../../server/data/results'
import type { SiteVideo } from '../../../server/services/contract'

/** A video as a site tells it, with as little in it as there can be. */
export const siteVideo = (id: string, channel = 'other', more: Partial<SiteVideo> = {}): SiteVideo => ({
  id,
  title: id,
  description: null,
  tags: null,
  channel: { id: channel, title: channel, subscribers: null },
  views: null,
  likes: null,
  dislikes: null,
  comments: null,
  publishedAt: null,
  durationSeconds: null,
  thumbnail: null,
  ...more,
})

/** A page of results as it is kept, its seats all of one strength. */
export const pageOf = (phraseId: number, videos: readonly SiteVideo[], more: Partial<PageToKeep> = {}): PageToKeep => ({
  phraseId,
  region: 'GB',
  kind: 'site',
  source: 'site',
  at: 1000,
  depth: 20,
  complete: true,
  more: false,
  titleMatches: null,
  videoBlock: null,
  intent: null,
  seats: videos.map(video => ({ video, strength: { strength: 0.5, targeting: 0.5, reach: 0.5, pull: null } })),
  ...more,
})
