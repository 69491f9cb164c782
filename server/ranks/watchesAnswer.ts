import { dayName } from '../../core/ranks/standing'
import type { WatchesAnswer } from '../../shared/ranks'
import type { WatchStore } from '../data/watches'

/** What a workspace watches, of one video or of all, and what all of it costs. */
export const watchesAnswer = (
  { watches }: { watches: WatchStore },
  workspace: string,
  videoId: string | null = null,
): WatchesAnswer => ({
  watches: watches.list(workspace, videoId).map(({ video, region, last, ...watch }) => ({
    ...watch,
    videoId: video,
    region: region || null,
    last: last === null ? null : dayName(last),
  })),
  cost: watches.cost(workspace),
})
