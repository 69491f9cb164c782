import { recalibrated, recalibratedRanks, type Recalibration } from './recalibrated'
import { PAGE_SEATS } from '../rivals/difficulty'
import { likelyRanks, type Forecast } from '../rivals/forecast'
import { readPhrase, type ReadPhrase } from '../text/match'
import { barsOf, pageTraits } from './bars'
import { meanChance, pageLogit, type Calibration } from './calibration'
import { expectedDoing, type Doing } from './doing'
import { signalWorth } from './ranking'
import { rareness, type Rarity } from './rarity'
import {
  askedStems,
  pullSignal,
  reachSignal,
  SIGNAL,
  SIGNALS,
  withStanding,
  wordingSignals,
  youthSignal,
  type Standing,
  type VideoText,
} from './signals'

/** The age at which a new video is looked at. */
export const NEW_DAYS = 28

/** What is known of a channel beyond its size. */
export interface LearntChannel {
  /** What its videos are worth beyond their signals, and how far that may be off. */
  worth: number
  off: number
  /** How much more than channels of its size it does, in tenfolds of views a day. */
  doing: number
}

/** How results come to stand where they do, as far as pages kept tell. */
export interface ChanceModel {
  weights: Float64Array
  channels: ReadonlyMap<string, LearntChannel>
  /** What videos seen are worth beyond their signals and their channel, by id. */
  videos: ReadonlyMap<string, number>
  rarity: Rarity
  doing: Doing
  calibration: Calibration
}

/** A channel one knows nothing of may be this much better or worse than its size lets expect. */
const UNKNOWN_CHANNEL: LearntChannel = { worth: 0, off: 0.5, doing: 0 }
/** Subscribers of a channel that does not tell. */
const UNKNOWN_SIZE = 3000

/** A result as a page tells it. */
export interface PageResult {
  text: VideoText
  standing: Standing
  channel: string
  video: string
}

/** What a page asks of a new video: the logit of its chance is its value less this. */
export interface Hurdles {
  /** For page one, of a video worded in full. */
  full: number
  /** For each rank, of a video whose wording counts 0; falling with the rank. */
  ranks: Float64Array
  /** What full wording adds. */
  wording: number
}

/** The signals of a text that has the phrase in title, first line and a tag, and is as long as most. */
function fullSignals(phrase: ReadPhrase, rarity: Rarity): Float64Array {
  const signals = new Float64Array(SIGNALS.length)
  for (const name of ['title', 'exact', 'firstLine', 'tag', 'whole', 'rare'] as const) signals[SIGNAL[name]] = 1
  // In title, text and tags once: ten of ten, in a text of usual length.
  const relevance = askedStems(phrase).reduce((sum, stem) => sum + (rareness(rarity, stem) * 10 * 2.2) / (10 + 1.2), 0)
  signals[SIGNAL.relevance] = Math.log1p(relevance)
  signals[SIGNAL.relevanceTo10] = Math.min(10, relevance) / 5
  signals[SIGNAL.relevanceTo20] = Math.min(20, relevance) / 5
  signals[SIGNAL.words] = Math.log1p(rarity.length) - 4
  return signals
}

/** What a result has beyond its signals. */
const beyond = ({ channels, videos }: ChanceModel, { channel, video }: Pick<PageResult, 'channel' | 'video'>) =>
  (channels.get(channel)?.worth ?? 0) + (videos.get(video) ?? 0)

/** What the wording of a text adds to the logit of its chance. */
export function wordingValue(model: ChanceModel, phrase: string, language: string, text: VideoText): number {
  const read = readPhrase(phrase, language)
  return model.calibration.slope * signalWorth(model.weights, wordingSignals(read, text, model.rarity))
}

/** The same of a text worded in full: with the phrase in title, first line and a tag, and as long as most. */
export const fullWording = ({ calibration, rarity, weights }: ChanceModel, phrase: string, language: string) =>
  calibration.slope * signalWorth(weights, fullSignals(readPhrase(phrase, language), rarity))

/**
 * What a page asks of a new video.
 *
 * @param results by rank; those taken out as off-topic left out. @param more whether there are results beyond them.
 * @param depth for how many ranks.
 * @returns `null` where no result is known.
 */
export function hurdlesOf(
  model: ChanceModel,
  phrase: string,
  language: string,
  results: readonly PageResult[],
  more: boolean,
  depth = PAGE_SEATS,
): Hurdles | null {
  if (!results.length) return null
  const read = readPhrase(phrase, language)
  const { calibration, rarity } = model
  const signals = results.map(({ text, standing }) => withStanding(wordingSignals(read, text, rarity), standing))
  const worths = signals.map((each, i) => signalWorth(model.weights, each) + beyond(model, results[i]!))
  const bars = barsOf(worths, more, Math.max(depth, PAGE_SEATS))
  const pageBar = bars[PAGE_SEATS - 1]!
  const whole = signals.map(each => each[SIGNAL.whole] === 1)
  // A page that ends has no bar: whoever is found is on it.
  const ends = !Number.isFinite(pageBar)
  const asks = ends ? -calibration.offset : -pageLogit(calibration, pageTraits(worths, whole, pageBar, read, rarity))
  const wording = fullWording(model, phrase, language)
  const ranks = bars.subarray(0, depth).map(bar => asks + calibration.slope * bar)
  return { full: ends ? -Infinity : asks + calibration.slope * pageBar - wording, ranks, wording }
}

/** A channel as chances use it: what its next video is worth beside its wording, and how far that may be off. */
export interface OwnValue {
  value: number
  spread: number
  /** What came of earlier forecasts corrects them by. */
  recalibration?: Recalibration
}

/**
 * What the next video of a channel is worth: its own doing is unknown, and taken to be that of the channel's others at
 * that age.
 *
 * @param channel id, where it is a known one. @param subscribers `null` where nobody tells.
 * @param ageDays the age it is looked at.
 */
export function ownValue(
  model: ChanceModel,
  channel: string | null,
  subscribers: number | null,
  ageDays = NEW_DAYS,
): OwnValue {
  const { weights, doing, calibration } = model
  const parts = ownParts(model, channel, subscribers, ageDays)
  const spread = Math.hypot(weights[SIGNAL.pull]! * doing.within, channelOf(model, channel).off)
  return {
    value: parts.size + parts.views + parts.youth + parts.channel,
    spread: calibration.slope * spread,
  }
}

/** What the value of a channel's next video is made of; they sum to it. */
export interface OwnParts {
  /** Its subscribers, and the views its videos get, against a usual channel. */
  size: number
  views: number
  youth: number
  /** What its videos have beyond that. */
  channel: number
}

const channelOf = ({ channels }: ChanceModel, channel: string | null) =>
  (channel === null ? undefined : channels.get(channel)) ?? UNKNOWN_CHANNEL

/** @param ageDays the age it is looked at. */
export function ownParts(
  model: ChanceModel,
  channel: string | null,
  subscribers: number | null,
  ageDays = NEW_DAYS,
): OwnParts {
  const { weights, doing, calibration } = model
  const { worth, doing: beyond } = channelOf(model, channel)
  const views = expectedDoing(doing, subscribers ?? UNKNOWN_SIZE, ageDays, beyond)
  return {
    size: calibration.slope * weights[SIGNAL.reach]! * reachSignal(subscribers),
    views: calibration.slope * weights[SIGNAL.pull]! * pullSignal(views),
    youth: calibration.slope * weights[SIGNAL.youth]! * youthSignal(ageDays),
    channel: calibration.slope * worth,
  }
}

/** The chance of page one of a video worded in full. @param full the page's hurdle. */
export const learntChance = ({ value, spread, recalibration }: OwnValue, full: number) =>
  recalibrated(recalibration, meanChance(value - full, spread))

/**
 * The likely ranks of a new video: P(rank = k) at index k − 1, the last one “behind all of them”.
 *
 * @param wording what the wording of its text adds, as `wordingValue` or `Hurdles.wording` say.
 */
export function learntRanks(
  { value, spread, recalibration }: OwnValue,
  { ranks }: Hurdles,
  wording: number,
): Float64Array {
  const within = new Float64Array(ranks.length + 1)
  let before = 0
  for (let i = 0; i < ranks.length; i++) {
    const reached = Math.max(before, meanChance(value + wording - ranks[i]!, spread))
    within[i] = reached - before
    before = reached
  }
  within[ranks.length] = 1 - before
  return recalibratedRanks(recalibration, within)
}

/**
 * The same as a forecast of fixed weights tells it. A result stays ahead of the video if the video ranks below it.
 *
 * @param results how many were read.
 */
export function learntForecast(own: OwnValue, hurdles: Hurdles, results: number): Forecast {
  const ranks = learntRanks(own, hurdles, hurdles.wording)
  const ahead = new Float64Array(Math.min(results, hurdles.ranks.length))
  let reached = 0
  for (let i = 0; i < ahead.length; i++) ahead[i] = Math.max(0, 1 - (reached += ranks[i]!))
  // Where page one is not full, whoever is found is on it.
  const seats = Math.min(PAGE_SEATS, ranks.length)
  const pageOne = ranks.subarray(0, seats).reduce((sum, each) => sum + each, 0)
  return {
    pageOne: Math.min(1, pageOne),
    ranks,
    likely: likelyRanks(ranks),
    ahead,
    softSeats: [...ahead.keys()].filter(i => ahead[i]! < 0.5).map(i => i + 1),
  }
}
