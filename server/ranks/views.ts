import { compareFirstWeeks, FIRST_DAYS, type VideoDays } from '../../core/ranks/firstWeeks'
import { dayName, dayNamed, rankDay } from '../../core/ranks/standing'
import { changesCompared, plannedCompared } from './changesCompared'
import type { ViewsAnswer } from '../../shared/views'
import type { Workspace } from '../../shared/workspace'
import type { PublicationStore } from '../data/publications'
import type { VideoChangeStore } from '../data/videoChanges'
import type { AskedStore } from '../data/asked'
import type { PlannedChangeStore } from '../data/plannedChanges'
import type { ToldDay, VideoDayStore } from '../data/videoDays'
import type { VideoRow, VideoStore } from '../data/videos'
import type { DayFigures, MayAsk, Services } from '../services/contract'
import { isServiceFault, withRetry } from '../services/retry'

export interface ViewsDeps extends MayAsk {
  videoDays: VideoDayStore
  publications: Pick<PublicationStore, 'briefOf'>
  videoChanges: VideoChangeStore
  videos: VideoStore
  services: Pick<Services, 'site'>
  asked: AskedStore
  now: () => number
}

/** Figures of the last days settle late: so many days before the last known one are kept anew. */
const SETTLE = 7
/** Days that one answer holds. */
const MOST_DAYS = 400
/** Videos that one is compared with, the newest ones. */
const MOST_OTHERS = 300

const toKept = (video: string, { day, bySource, ...figures }: DayFigures): ToldDay => ({
  video,
  day: dayNamed(day),
  ...figures,
  ...bySource,
})

/** Whether the site is to be asked for a video's figures: once a day, as days are told when they are over. */
export function viewsAreDue({ videoDays, asked, now }: Pick<ViewsDeps, 'videoDays' | 'asked' | 'now'>, video: string) {
  const at = videoDays.told(video)?.askedAt ?? null
  return (at === null || rankDay(at) < rankDay(now())) && !asked.waits(['analytics', video])
}

/**
 * Asks the site for the figures of a video where that is due, and keeps them.
 * @param anew asks also where it is not. @returns why they are not newer; `null` where nothing went wrong.
 */
export async function lookAtViews(deps: ViewsDeps, video: string, anew = false): Promise<string | null> {
  const { videoDays, services, asked, mayAsk = true, ownDataOnly } = deps
  const what = ['analytics', video]
  if (!anew && !viewsAreDue(deps, video)) return asked.waits(what)?.problem ?? null
  if (!mayAsk || ownDataOnly) return null
  try {
    const { data, complete, source, at } = await withRetry(() => services.site.analytics(video))
    if (!data) {
      asked.nothing([what])
      return null
    }
    if (!complete) {
      // Half of the days would look like a video that nobody watched before.
      const problem = 'The site told only a part of the figures. Ask again.'
      asked.failed([what], problem)
      return problem
    }
    const last = videoDays.last(video)
    const days = data.days.map(day => toKept(video, day)).filter(({ day }) => last === null || day > last - SETTLE)
    videoDays.saveSite(video, days, { source, at, retention: data.retention })
    return null
  } catch (error) {
    if (!isServiceFault(error)) throw error
    asked.failed([what], (error as Error).message)
    return (error as Error).message
  }
}

/** A video's figures of its first weeks. */
export const firstDaysOf = (videoDays: VideoDayStore, { code, published_at, seconds }: VideoRow): VideoDays => {
  const released = rankDay(published_at!)
  return { released, seconds, days: videoDays.of(code, released, released + FIRST_DAYS) }
}

/** Views of a video day by day, where they came from, and its first weeks against the others of its channel. */
export function viewsAnswer(
  stores: Omit<ViewsDeps, 'services' | 'asked'> & { plannedChanges: Pick<PlannedChangeStore, 'ofVideo'> },
  video: string,
  { id: workspace, channelId: channel }: Pick<Workspace, 'id' | 'channelId'>,
  problem: string | null,
): ViewsAnswer {
  const { plannedChanges, publications, videoDays, videos, now } = stores
  const today = rankDay(now())
  const days = videoDays.of(video, today - MOST_DAYS)
  const told = videoDays.told(video)
  const row = videos.video(video)
  const others =
    channel === null
      ? []
      : videos
          .ofChannel(channel, MOST_OTHERS)
          .filter(({ code, published_at }) => code !== video && published_at !== null)
  return {
    days: days.map(({ day, ...figures }) => ({ ...figures, day: dayName(day) })),
    referrers: videoDays
      .referrers(video, today - MOST_DAYS)
      .map(({ day, ...site }) => ({ ...site, day: dayName(day) })),
    retention: told?.retention ?? null,
    seconds: row?.seconds ?? null,
    releasedAt: row?.published_at ?? null,
    source: told?.source ?? null,
    at: told?.at ?? null,
    firstWeeks:
      row?.published_at == null
        ? null
        : compareFirstWeeks(
            firstDaysOf(videoDays, row),
            others.map(other => firstDaysOf(videoDays, other)),
            today,
          ),
    brief: publications.briefOf(video),
    changes: row ? changesCompared(stores, row, { others, today }) : [],
    planned: plannedCompared(stores, plannedChanges.ofVideo(workspace, video), row, { others, today }),
    problem,
  }
}
