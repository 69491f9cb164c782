import { group } from 'd3-array'
import { fieldOf } from '../../core/brief/brief'
import { beforeAfter, YOUNG_DAYS } from '../../core/ranks/beforeAfter'
import type { Compared } from '../../core/ranks/sides'
import { rankDay } from '../../core/ranks/standing'
import type { ComparedChange } from '../../shared/views'
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

/**
 * What each change of a video did, beside the channel's other videos in the same days. Changes of one day are one.
 * @param others videos of the channel whose release is known, newest first.
 */
export function changesCompared(
  { videoDays, videoChanges }: { videoDays: VideoDayStore; videoChanges: VideoChangeStore },
  { code, published_at }: VideoRow,
  others: readonly VideoRow[],
  today: number,
): ComparedChange[] {
  if (published_at === null) return []
  const byDay = [...group(videoChanges.of(code), ({ at }) => rankDay(at))]
    .filter(([, changes]) => leavesSomething(changes))
    .sort(([a], [b]) => a - b)
  return byDay
    .map(([day, changes], i) => {
      const around = (video: string) => videoDays.of(video, day - AROUND, day + AROUND + 1)
      const controls = others
        .filter(
          other =>
            rankDay(other.published_at!) + YOUNG_DAYS <= day - AROUND &&
            !videoChanges.of(other.code).some(({ at }) => Math.abs(rankDay(at) - day) <= AROUND),
        )
        .slice(0, MOST_CONTROLS)
        .map(other => around(other.code))
      const change = { day, previous: byDay[i - 1]?.[0] ?? null, next: byDay[i + 1]?.[0] ?? null }
      const own = around(code)
      return {
        at: changes[0]!.at,
        fields: [...new Set(changes.map(({ field }) => fieldOf(field).label))],
        results: MOVES.map(what => ({
          what,
          ...beforeAfter(own, controls, change, what, rankDay(published_at), today),
        })),
      }
    })
    .slice(-MOST_CHANGES)
    .reverse()
}
