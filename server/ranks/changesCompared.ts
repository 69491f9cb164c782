import { group } from 'd3-array'
import { fieldOf } from '../../core/brief/brief'
import { beforeAfter, YOUNG_DAYS, type BeforeAfter } from '../../core/ranks/beforeAfter'
import { plannedStanding } from '../../core/ranks/plannedChange'
import type { Compared } from '../../core/ranks/sides'
import { dayName, rankDay } from '../../core/ranks/standing'
import type { PlannedChange, PlannedField } from '../../shared/plannedChanges'
import type { ComparedChange } from '../../shared/views'
import type { KeptPlannedChange } from '../data/plannedChanges'
import type { VideoChange, VideoChangeStore } from '../data/videoChanges'
import type { VideoDayStore } from '../data/videoDays'
import type { VideoRow } from '../data/videos'

/** The newest changes that are compared, and the newest other videos that they are compared with. */
const MOST_CHANGES = 8
const MOST_CONTROLS = 40
/** Days on either side that can matter. */
const AROUND = 29
/** What is looked at first for a change: the part that it can move. */
const MOVES: Compared[] = ['views', 'search', 'clickRate']

/** Whether a field is another one after changes, in their order: what was taken back is no change. */
const leavesSomething = (changes: readonly VideoChange[]) =>
  [...group(changes, ({ field }) => field).values()].some(of => of[0]!.before !== of.at(-1)!.after)

/** The others of a channel whose release is known, and the day by which all is told. */
interface Beside {
  others: readonly VideoRow[]
  /** Days since 1970. */
  today: number
}
type Stores = { videoDays: VideoDayStore; videoChanges: VideoChangeStore }

/** How a video is compared around its changes: those of one day are one, and what was taken back is none. */
function comparing({ videoDays, videoChanges }: Stores, { code, published_at }: VideoRow, { others, today }: Beside) {
  const byDay = [...group(videoChanges.of(code), ({ at }) => rankDay(at))]
    .filter(([, changes]) => leavesSomething(changes))
    .sort(([a], [b]) => a - b)
  /** @param day that of a change. @param most weeks on either side. */
  function around(day: number, most?: number): (what: Compared) => BeforeAfter {
    const daysOf = (video: string) => videoDays.of(video, day - AROUND, day + AROUND + 1)
    const controls = others
      .filter(
        other =>
          rankDay(other.published_at!) + YOUNG_DAYS <= day - AROUND &&
          !videoChanges.of(other.code).some(({ at }) => Math.abs(rankDay(at) - day) <= AROUND),
      )
      .slice(0, MOST_CONTROLS)
      .map(other => daysOf(other.code))
    const change = {
      day,
      previous: byDay.findLast(([each]) => each < day)?.[0] ?? null,
      next: byDay.find(([each]) => each > day)?.[0] ?? null,
    }
    const own = daysOf(code)
    return what => beforeAfter(own, controls, change, what, rankDay(published_at!), today, most)
  }
  return { byDay, around }
}

/**
 * What each change of a video did, beside the channel's other videos in the same days.
 * @param beside other videos, newest first.
 */
export function changesCompared(stores: Stores, video: VideoRow, beside: Beside): ComparedChange[] {
  if (video.published_at === null) return []
  const { byDay, around } = comparing(stores, video, beside)
  return byDay
    .slice(-MOST_CHANGES)
    .map(([day, changes]) => {
      const result = around(day)
      return {
        at: changes[0]!.at,
        fields: [...new Set(changes.map(({ field }) => fieldOf(field).label))],
        results: MOVES.map(what => ({ what, ...result(what) })),
      }
    })
    .reverse()
}

/** How far the planned changes of a video are, and what came of those whose weeks are over. */
export function plannedCompared(
  stores: Stores,
  plans: readonly KeptPlannedChange[],
  video: VideoRow | null,
  beside: Beside,
): PlannedChange[] {
  const compare = video?.published_at == null ? null : comparing(stores, video, beside)
  return plans.map(({ id, video: code, field, note, day, weeks, what, madeOn }) => {
    const standing = plannedStanding({ madeOn, day, weeks }, daysOfChanges(stores, code, field), beside.today)
    const { state, changedOn, answerOn } = standing
    return {
      ...{ id, field, note, day: dayName(day), weeks, what, state },
      changedOn: changedOn === null ? null : dayName(changedOn),
      answerOn: answerOn === null ? null : dayName(answerOn),
      result: state === 'over' && compare ? compare.around(changedOn!, weeks)(what) : null,
    }
  })
}

/** The days on which a part of a video was changed, oldest first. */
export const daysOfChanges = ({ videoChanges }: Pick<Stores, 'videoChanges'>, video: string, field: PlannedField) =>
  videoChanges
    .of(video)
    .filter(each => each.field === field)
    .map(({ at }) => rankDay(at))
