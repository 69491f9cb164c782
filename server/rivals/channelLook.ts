import { DAY } from '../../core/time'
import { max, median, sum } from 'd3-array'
import { viewsPerDay } from '../../core/rivals/strength'
import { isUpset, timesExpected, type ViewsModel } from '../../core/rivals/upsets'
import { earnings } from '../../core/rivals/winnings'
import type { ChannelAnswer, ChannelStats, ChannelVideo, VideoAnswer } from '../../shared/rivals'
import type { Settings } from '../../shared/workspace'
import { toSiteVideo, type ChannelRow, type VideoRow, type VideoStore } from '../data/videos'
import type { MayAsk, Services } from '../services/contract'
import { isServiceFault, withRetry } from '../services/retry'
import type { AskedStore } from '../data/asked'

/** A channel looked at this lately is not asked for again. */
const LOOK_AGE_MS = 7 * DAY
/** Videos kept in one transaction. */
const BATCH = 200

export interface ChannelDeps extends MayAsk {
  videos: VideoStore
  services: Services
  asked: AskedStore
  now?: () => number
}

const UNKNOWN_NOW = 'The site no longer lists this channel.'

/** Makes sure a channel and its videos are known. @returns why they are old, when the service failed. */
export async function lookAtChannel(
  { videos, services, asked, mayAsk = true, ownDataOnly, now = Date.now }: ChannelDeps,
  id: string,
  language: string,
  anew = false,
): Promise<string | null> {
  const known = videos.channel(id)
  if (!anew && known?.listed_at && now() - known.listed_at < LOOK_AGE_MS) return null
  if (!mayAsk) return known && !ownDataOnly ? 'Showing saved data; the site was not contacted.' : null
  const what = ['channel', id]
  const waits = anew ? null : asked.waits(what)
  if (waits) return waits.problem ?? (known ? UNKNOWN_NOW : null)
  try {
    const [channel, list] = await Promise.all([
      withRetry(() => services.site.channel(id, language)),
      withRetry(() => services.site.channelVideos(id, language)),
    ])
    if (!channel.data) {
      asked.nothing([what])
      return known ? UNKNOWN_NOW : null
    }
    videos.saveChannel(channel.data, channel.at)
    for (let from = 0; from < list.data.length; from += BATCH) {
      videos.saveVideos(list.data.slice(from, from + BATCH), list.at)
      await new Promise(resolve => setImmediate(resolve))
    }
    videos.listedWhole(id, list.at)
    return null
  } catch (error) {
    if (!isServiceFault(error)) throw error
    asked.failed([what], (error as Error).message)
    return (error as Error).message
  }
}

/** What is known of a channel, in figures. */
export function channelStats(channel: ChannelRow, list: readonly VideoRow[]): ChannelStats {
  const views = list.flatMap(video => video.views ?? [])
  const all = sum(views)
  return {
    id: channel.id,
    title: channel.title,
    subscribers: channel.subscribers,
    foundedAt: channel.founded_at,
    videos: channel.videos,
    listed: list.length,
    medianViews: median(views) ?? null,
    viewsPerSubscriber: channel.subscribers && views.length ? median(views)! / channel.subscribers : null,
    oneVideoShare: all > 0 && views.length > 1 ? max(views)! / all : null,
    at: channel.at,
  }
}

function channelVideo(row: VideoRow, model: ViewsModel | null): ChannelVideo {
  const { id, channel: _channel, description: _description, ...video } = toSiteVideo(row)
  const daily =
    row.views === null || row.published_at === null ? null : viewsPerDay(row.views, row.published_at, row.at)
  const expected =
    model && row.subscribers !== null && daily !== null
      ? { subscribers: row.subscribers, ageDays: Math.max(1, (row.at - row.published_at!) / DAY), viewsPerDay: daily }
      : null
  return {
    videoId: id,
    ...video,
    viewsPerDay: daily,
    timesExpected: expected ? timesExpected(model!, expected) : null,
    upset: expected !== null && isUpset(model!, expected, row.views ?? 0),
  }
}

/**
 * A channel with its videos, its upsets and the phrases it stands for; `null` for an unknown one.
 * @param region whose rate its views are reckoned at.
 */
export function answerChannel(
  { videos }: Pick<ChannelDeps, 'videos'>,
  id: string,
  model: ViewsModel | null,
  {
    settings,
    region,
    watched,
    problem,
  }: { settings: Settings; region: string | null; watched: boolean; problem: string | null },
): ChannelAnswer | null {
  const channel = videos.channel(id)
  if (!channel) return null
  const list = videos.ofChannel(id)
  const total = sum(list, video => video.views ?? 0)
  const rate = settings.rates[region ?? ''] ?? settings.rates['']
  return {
    ...channelStats(channel, list),
    rows: list.map(row => channelVideo(row, model)),
    phrases: videos
      .phrasesOfChannel(id)
      .map(({ text, region, rank }) => ({ phrase: text, region: region || null, rank })),
    earnings: rate && total ? { currency: rate.currency, ...earnings({ low: total, high: total }, rate) } : null,
    watched,
    problem,
  }
}

/** A video in full, with its channel and the phrases it stands for; `null` for an unknown one. */
export function answerVideo(
  { videos }: Pick<ChannelDeps, 'videos'>,
  code: string,
  model: ViewsModel | null,
): VideoAnswer | null {
  const row = videos.video(code)
  if (!row) return null
  const { upset: _upset, ...rest } = channelVideo(row, model)
  return {
    ...rest,
    description: row.description,
    channel: channelStats(videos.channel(row.channel_id)!, videos.ofChannel(row.channel_id)),
    phrases: videos.phrasesOf(row.id).map(({ text, region, rank }) => ({ phrase: text, region: region || null, rank })),
    at: row.at,
  }
}
