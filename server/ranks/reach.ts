import { reachOf, reachOverTime, type Aimed } from '../../core/ranks/reach'
import { rankDay } from '../../core/ranks/standing'
import { PAGE_SEATS } from '../../core/rivals/difficulty'
import { DAY } from '../../core/time'
import type { ReachAnswer } from '../../shared/forecasts'
import type { AimedStore } from '../data/aimed'
import type { PhraseStore } from '../data/phrases'
import type { VideoStore } from '../data/videos'
import { OUTCOME_DAYS } from './forecasts'

export interface ReachDeps {
  aimed: AimedStore
  phrases: Pick<PhraseStore, 'known'>
  videos: Pick<VideoStore, 'video'>
  now: () => number
}

/** How its growth is told: in so many steps of so many days, up to now. */
const STEPS = 8
const STEP_DAYS = 91

/**
 * The difficulty a channel wins half the time, by the phrases its videos are watched for or were foretold for: whether
 * page one was reached four weeks after the release, or at the first look after that.
 */
export function reachAnswer({ aimed, phrases, videos, now }: ReachDeps, workspace: string): ReachAnswer {
  const released = new Map<string, number | null>()
  const releasedOf = (video: string) => {
    if (!released.has(video)) released.set(video, videos.video(video)?.published_at ?? null)
    return released.get(video)!
  }
  const list = aimed.of(workspace).flatMap(({ series, video, phrase, region, language, told }): Aimed[] => {
    const at = releasedOf(video)
    const day = at === null ? null : aimed.dayFrom(series, rankDay(at) + OUTCOME_DAYS, PAGE_SEATS)
    if (at === null || !day) return []
    const difficulty = told ?? phrases.known(phrase, region, language)?.difficulty ?? null
    return difficulty === null ? [] : [{ video, difficulty, won: day.rank !== null && day.rank <= PAGE_SEATS, at }]
  })
  const times = Array.from({ length: STEPS }, (_, i) => now() - (STEPS - 1 - i) * STEP_DAYS * DAY)
  return {
    reach: reachOf(list),
    videos: new Set(list.map(({ video }) => video)).size,
    phrases: list.length,
    won: list.filter(({ won }) => won).length,
    grew: reachOverTime(list, times).map(({ at, reach }) => ({ at, ...reach })),
  }
}
