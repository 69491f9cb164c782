import { dayName } from '../../core/ranks/standing'
import type { WatchesAnswer } from '../../shared/ranks'
import type { WatchStore } from '../data/watches'

/** What a workspace watches, of one video or of all, and what all of it costs. */
export const watchesAnswer = (
  { watches }: { watches: WatchStore },
  workspace: string,
  { videoId, limit = 0, offset = 0 }: { videoId?: string | undefined; limit?: number; offset?: number },
): WatchesAnswer => ({
  watches: (videoId === undefined ? watches.some(workspace, limit, offset) : watches.ofVideo(workspace, videoId)).map(
    ({ video, region, last, ...watch }) => ({
      ...watch,
      videoId: video,
      region: region || null,
      last: last === null ? null : dayName(last),
    }),
  ),
  total: watches.count(workspace),
  videos: watches.videos(workspace),
  cost: watches.cost(workspace),
})
