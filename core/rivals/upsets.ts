/** One video as observed, for the model of what size and age let expect. */
export interface ObservedVideo {
  subscribers: number
  ageDays: number
  viewsPerDay: number
}

/** log10(1 + views a day) ≈ base + bySubscribers × log10(1 + subscribers) + byAge × log10(1 + days). */
export interface ViewsModel {
  base: number
  bySubscribers: number
  byAge: number
  /** Residuals above this are the top twentieth. */
  cut: number
  videos: number
}

const TOP = 0.05
/** Fewer observations than this tell no rule. */
const LEAST_VIDEOS = 40
const LEAST_VIEWS = 1000

const x1 = (video: ObservedVideo) => Math.log10(1 + video.subscribers)
const x2 = (video: ObservedVideo) => Math.log10(1 + video.ageDays)
const y = (video: ObservedVideo) => Math.log10(1 + video.viewsPerDay)

/** Fits views a day on subscribers and age by least squares, over everything observed. @returns `null` with too few. */
export function fitViews(videos: readonly ObservedVideo[]): ViewsModel | null {
  const n = videos.length
  if (n < LEAST_VIDEOS) return null
  let [s1, s2, sy] = [0, 0, 0]
  for (const video of videos) {
    s1 += x1(video)
    s2 += x2(video)
    sy += y(video)
  }
  const [m1, m2, my] = [s1 / n, s2 / n, sy / n]
  let [s11, s22, s12, s1y, s2y] = [0, 0, 0, 0, 0]
  for (const video of videos) {
    const [a, b, c] = [x1(video) - m1, x2(video) - m2, y(video) - my]
    s11 += a * a
    s22 += b * b
    s12 += a * b
    s1y += a * c
    s2y += b * c
  }
  const det = s11 * s22 - s12 * s12
  if (Math.abs(det) < 1e-12) return null
  const bySubscribers = (s22 * s1y - s12 * s2y) / det
  const byAge = (s11 * s2y - s12 * s1y) / det
  const model = { base: my - bySubscribers * m1 - byAge * m2, bySubscribers, byAge, cut: 0, videos: n }
  const residuals = Float64Array.from(videos, video => y(video) - expected(model, video)).sort()
  model.cut = residuals[Math.min(n - 1, Math.ceil(n * (1 - TOP)) - 1)]!
  return model
}

type Line = Pick<ViewsModel, 'base' | 'bySubscribers' | 'byAge'>
const expected = (model: Line, video: ObservedVideo) =>
  model.base + model.bySubscribers * x1(video) + model.byAge * x2(video)

/** How many times more views a day a video has than its channel's size and its age let expect. */
export const timesExpected = (model: Line, video: ObservedVideo) => Math.pow(10, y(video) - expected(model, video))

/** Whether a video won on something else than size: among the top twentieth, with at least a thousand views. */
export function isUpset(model: ViewsModel, video: ObservedVideo, views: number): boolean {
  return views >= LEAST_VIEWS && y(video) - expected(model, video) > model.cut
}

export type UpsetReason = 'wording' | 'freshness' | 'length' | null
export const UPSET_WORDS: Record<Exclude<UpsetReason, null>, string> = {
  wording: 'better worded than the page',
  freshness: 'far younger than the page',
  length: 'of another length than the page',
}

/**
 * The likely reason of an upset: where it stands out most from its page, in order of what a
 * creator can copy.
 * @param page medians over page one.
 */
export function upsetReason(
  video: { targeting: number; ageDays: number; seconds: number },
  page: { targeting: number; ageDays: number; seconds: number },
): UpsetReason {
  if (video.targeting >= page.targeting + 0.15) return 'wording'
  if (video.ageDays < 30 && page.ageDays > 90) return 'freshness'
  const ratio = video.seconds / Math.max(1, page.seconds)
  return ratio >= 1.8 || ratio <= 1 / 1.8 ? 'length' : null
}
