import { DAY } from '../../core/time'
import type { Kept, KnownVideo } from '../../core/chance/kept'
import type { PageResult } from '../../core/chance/model'
import { readVideoText, type Standing } from '../../core/chance/signals'
import { PAGE_SEATS } from '../../core/rivals/difficulty'
import { viewsPerDay } from '../../core/rivals/strength'
import type { SiteVideo } from '../../server/services/contract'
import type { TrialChannel, TrialPage } from './trial'

export const LANGUAGE = 'en'

/** How a video and its channel stood at a time. */
export const standingAt = (video: SiteVideo, at: number): Standing => ({
  subscribers: video.channel.subscribers,
  viewsPerDay:
    video.views === null || video.publishedAt === null ? null : viewsPerDay(video.views, video.publishedAt, at),
  ageDays: video.publishedAt === null ? null : (at - video.publishedAt) / DAY,
  seconds: video.durationSeconds,
})

export const resultOf = (video: SiteVideo, at: number): PageResult => ({
  text: readVideoText(video, LANGUAGE),
  standing: standingAt(video, at),
  channel: video.channel.id,
  video: video.id,
})

/** Whether a page has results beyond its first twenty. */
export const goesOn = (page: Pick<TrialPage, 'videos'>) => page.videos.length >= PAGE_SEATS

/** What a user of the product would have kept: pages, and lists of channels. */
export function observed(
  pages: readonly Pick<TrialPage, 'phrase' | 'videos'>[],
  channels: readonly Pick<TrialChannel, 'channel' | 'videos'>[],
  at: number,
): Kept {
  const videos: KnownVideo[] = []
  const numbers = new Map<string, number>()
  const owners = new Map<string, number>()
  const listed = new Set(channels.map(each => each.channel.id))
  const numberOf = (video: SiteVideo) => {
    let number = numbers.get(video.id)
    if (number === undefined) {
      let channel = owners.get(video.channel.id)
      if (channel === undefined) owners.set(video.channel.id, (channel = owners.size))
      numbers.set(video.id, (number = videos.length))
      videos.push({ id: video.id, channel, text: readVideoText(video, LANGUAGE), ...standingAt(video, at) })
    }
    return number
  }
  for (const each of channels) each.videos.forEach(numberOf)
  return {
    pages: pages.map(page => ({
      phrase: page.phrase,
      language: LANGUAGE,
      seats: page.videos.map(video => ({ video: numberOf(video), ...standingAt(video, at) })),
      more: goesOn(page),
    })),
    videos,
    channels: [...owners.keys()].map(id => ({ id, listed: listed.has(id) })),
  }
}
