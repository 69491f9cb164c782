import { aboutNothing, type Proposal } from '../../core/next/proposal'
import { plannedStanding } from '../../core/ranks/plannedChange'
import { rankDay } from '../../core/ranks/standing'
import { DAY } from '../../core/time'
import type { PlannedChangeStore } from '../data/plannedChanges'
import type { VideoStore } from '../data/videos'
import { daysOfChanges } from '../ranks/changesCompared'

/** For so many days an answer is news. */
const NEWS_DAYS = 14

/** Changes that were planned for today or before and are not made, and answers that have come lately. */
export function plannedDue(
  stores: {
    plannedChanges: PlannedChangeStore
    videos: Pick<VideoStore, 'video'>
    now: () => number
  } & Parameters<typeof daysOfChanges>[0],
  workspace: string,
): Proposal[] {
  const today = rankDay(stores.now())
  return stores.plannedChanges.all(workspace).flatMap(({ id, video, field, note, ...plan }): Proposal[] => {
    const { state, answerOn } = plannedStanding(plan, daysOfChanges(stores, video, field), today)
    const of = {
      ...aboutNothing,
      kind: 'planned' as const,
      title: stores.videos.video(video)?.title ?? video,
      video,
      field,
      note,
    }
    if (state === 'due') return [{ ...of, key: `planned:${id}:due`, over: false, due: plan.day * DAY }]
    return state === 'over' && today < answerOn! + NEWS_DAYS ? [{ ...of, key: `planned:${id}:over`, over: true }] : []
  })
}
