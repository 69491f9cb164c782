import { leastSquares } from '../statistics/solve'
import { tenfolds } from './signals'

/** A video of a channel as seen, with all that its views are judged by. */
export interface SeenVideo {
  channel: number
  subscribers: number
  ageDays: number
  viewsPerDay: number
}

/** How many views a day videos get, in tenfolds, by size of channel and age. */
export interface Doing {
  usual: number
  /** For each tenfold of subscribers, and of days of age. */
  bySize: number
  byAge: number
  /** Standard deviation of a video around its channel, and of channels around what their size lets expect. */
  within: number
  between: number
}

/** Before anything is known: each tenfold of subscribers more than doubles the views, and they sink slowly with age. */
const EXPECTED = [0.6, 0.35, -0.15] as const
const PENALTY = [2, 20, 20]
const SPREAD = { within: 0.5, between: 0.25, seen: 8 }

const columns = ({ subscribers, ageDays }: Pick<SeenVideo, 'subscribers' | 'ageDays'>) => [
  1,
  tenfolds(subscribers),
  Math.log10(Math.max(1, ageDays)),
]

/**
 * Fits how videos do. Only channels whose videos are all known may take part: those found on result pages stand there
 * because they did well.
 *
 * @returns how they do, and for each channel how much better or worse than channels of its size, drawn towards 0 where
 * few of its videos are known.
 */
export function fitDoing(videos: readonly SeenVideo[]): { doing: Doing; channels: Map<number, number> } {
  const rows = videos.map(columns)
  const done = videos.map(video => tenfolds(video.viewsPerDay))
  const [usual, bySize, byAge] = leastSquares(rows, done, [...EXPECTED], PENALTY) as [number, number, number]
  const beyond = new Map<number, number[]>()
  videos.forEach(({ channel }, n) => {
    const [, size, age] = rows[n]!
    const left = done[n]! - usual - bySize * size! - byAge * age!
    const list = beyond.get(channel)
    if (list) list.push(left)
    else beyond.set(channel, [left])
  })
  const mean = (list: readonly number[]) => list.reduce((sum, each) => sum + each, 0) / list.length
  let [around, seen] = [SPREAD.seen * SPREAD.within ** 2, SPREAD.seen]
  for (const list of beyond.values()) {
    const middle = mean(list)
    for (const each of list) around += (each - middle) ** 2
    seen += Math.max(0, list.length - 1)
  }
  const within = Math.sqrt(around / seen)
  let [apart, channels] = [SPREAD.seen * SPREAD.between ** 2, SPREAD.seen]
  for (const list of beyond.values()) {
    apart += Math.max(0, mean(list) ** 2 - within ** 2 / list.length)
    channels++
  }
  const between = Math.sqrt(apart / channels)
  const drawn = new Map(
    [...beyond].map(([channel, list]) => {
      const sure = (list.length * between ** 2) / (list.length * between ** 2 + within ** 2)
      return [channel, sure * mean(list)]
    }),
  )
  return { doing: { usual, bySize, byAge, within, between }, channels: drawn }
}

/** What a video of a channel of this size is expected to do at an age, in tenfolds of views a day. */
export function expectedDoing(doing: Doing, subscribers: number, ageDays: number, channel = 0): number {
  const [one, size, age] = columns({ subscribers, ageDays }) as [number, number, number]
  return one * doing.usual + size * doing.bySize + age * doing.byAge + channel
}
