import type { TranslatedText } from '../../core/translation/marked'

import type { ChannelRecord, VideoRecord } from '../../core/formats/videoRecord'
import { CHANNEL_RIGHTS, type ChannelRight } from '../../core/release/rights'
import type { WrittenDraft } from '../../core/release/videoDraft'

/**
 * What the product knows of the world outside. Every service speaks through these interfaces
 * alone; the simulated ones that ship are one implementation.
 */

/** An answer with its origin. `complete` is false when the service returned only part. */
export interface Answer<Data> {
  source: string
  at: number
  complete: boolean
  data: Data
}

/** ISO 3166 alpha-2, or `null` for everywhere. */
export type Region = string | null

export interface PhraseFigures {
  phrase: string
  /** Mean searches a month over the last 12 complete months. */
  volume: number
  /** 36 values, oldest first. */
  months: (number | null)[]
}

export interface VolumeAnswer {
  /** The last complete month, `yyyy-mm`. */
  monthsEnd: string
  figures: PhraseFigures[]
}

export type SiteChannel = ChannelRecord
export type SiteVideo = VideoRecord

/** What is said in a video. */
export interface SiteCaptions {
  /** BCP 47. */
  language: string
  /** WebVTT. */
  text: string
}

export interface SearchAnswer {
  /** The site's own count of videos with the phrase in their title; `null` where the site does not tell it. */
  titleMatches: number | null
  videos: SiteVideo[]
}

/** A playlist, found in search like a video. */
export interface SitePlaylist {
  id: string
  title: string
  description: string
  channel: { id: string; title: string }
  /** Ids of its videos, in order. */
  videos: string[]
  updatedAt: number
}

/** A channel somebody may act for. Each one is authorised by itself. */
export interface OwnedChannel {
  id: string
  title: string
  authorised: boolean
  /** What may be done once it is authorised. */
  rights: ChannelRight[]
  /** Videos this channel may still publish today, and the largest and longest file it may upload. */
  limits: { uploadsLeft: number; bytes: number; seconds: number }
}
export { CHANNEL_RIGHTS, type ChannelRight }

/** A file on its way to the site. Parts are sent in order; after a break it goes on where `received` says. */
export interface SiteUpload {
  id: string
  bytes: number
  received: number
}

/** What is wrong with what was sent, by its field; nothing was changed then. */
export interface SiteProblem {
  field: string
  message: string
}

/** What the uploader declares about a video, and what others may do with it. */
export type ReleaseSheet = WrittenDraft['sheet']

/** All a video is published with. */
export interface VideoDraft extends WrittenDraft {
  /** A picture as a `data:` address, 2 MB at most; `null` lets the site choose one. */
  thumbnail: string | null
  /** Ids of the channel's playlists it is added to. */
  playlists: string[]
}

/** What became of a video that was sent. */
export interface Published {
  /** `null` when it was not accepted. */
  id: string | null
  /** From when on it can be seen, as far as the site knows: not before it is processed. */
  visibleFrom: number | null
  problems: SiteProblem[]
}

/** Where views came from. */
export interface ViewSources {
  search: number
  suggested: number
  subscribers: number
  web: number
  elsewhere: number
}
export interface DayFigures {
  /** `yyyy-mm-dd`, UTC. */
  day: string
  /** How often its thumbnail was shown on the site, and clicked there. */
  impressions: number
  clicks: number
  views: number
  bySource: ViewSources
  watchedSeconds: number
}
export interface SiteAnalytics {
  /** Complete days, oldest first; at most the last 400. */
  days: DayFigures[]
  /** The part of viewers still there at the start, after each tenth of the video, and at its end: 11 values, 0 to 1. */
  retention: number[]
}

/** When a channel's viewers are there: parts of the week's views by hour, Monday 0:00 UTC first; 168 values. */
export interface SiteAudience {
  hours: number[]
}

export interface VideoSite {
  suggest(prefix: string, region: Region, language: string): Promise<Answer<string[]>>
  search(phrase: string, region: Region, language: string, depth: number): Promise<Answer<SearchAnswer>>
  video(id: string, language: string): Promise<Answer<SiteVideo | null>>
  channel(id: string, language: string): Promise<Answer<SiteChannel | null>>
  channelVideos(id: string, language: string): Promise<Answer<SiteVideo[]>>
  trending(region: Region, language: string): Promise<Answer<SiteVideo[]>>
  /** The captions of a video; `null` where it has none, or is not there. */
  captions(id: string, language: string): Promise<Answer<SiteCaptions | null>>
  playlist(id: string, language: string): Promise<Answer<SitePlaylist | null>>
  searchPlaylists(
    phrase: string,
    region: Region,
    language: string,
    depth: number,
  ): Promise<Answer<{ playlists: SitePlaylist[] }>>
  channelPlaylists(id: string, language: string): Promise<Answer<SitePlaylist[]>>

  // With the owner's key. Whoever sends again with the same request id gets the first answer: nothing is done twice.

  /** The channels one may act for. */
  account(): Promise<Answer<{ channels: OwnedChannel[] }>>
  /** Asks for the right to act for a channel. The address is where its owner agrees; `null` when that is done. */
  authorise(channel: string): Promise<Answer<{ authorised: boolean; address: string | null }>>
  startUpload(request: string, channel: string, file: UploadedFile): Promise<Answer<UploadAnswer>>
  /** @param bytes a part of the file in base64, 2 MB at most before that, which begins at `offset`. */
  sendPart(upload: string, offset: number, bytes: string): Promise<Answer<UploadAnswer>>
  /** How far an upload is; `null` when there is none. */
  upload(id: string): Promise<Answer<SiteUpload | null>>
  /** @param at when it may be seen first; `null` as soon as it is processed. */
  publish(request: string, upload: string, draft: VideoDraft, at: number | null): Promise<Answer<Published>>
  /** Changes what is given of a published video. */
  update(id: string, draft: Partial<VideoDraft>): Promise<Answer<Published>>
  /** Makes a playlist, or changes the one with this id. */
  savePlaylist(request: string, id: string | null, playlist: PlaylistDraft): Promise<Answer<SavedPlaylist>>
  /** `null` where the channel is not ours to ask about. */
  audience(channel: string): Promise<Answer<SiteAudience | null>>
  analytics(id: string): Promise<Answer<SiteAnalytics | null>>
}

export interface UploadedFile {
  name: string
  bytes: number
  /** As far as the sender knows; the site reads it from the file while it is processed. */
  seconds: number
}
export interface UploadAnswer {
  /** `null` when it was not accepted. */
  upload: SiteUpload | null
  problems: SiteProblem[]
}
export interface PlaylistDraft {
  channel: string
  title: string
  description: string
  videos: string[]
}
export interface SavedPlaylist {
  id: string | null
  problems: SiteProblem[]
}

export interface DemandData {
  volumes(phrases: string[], region: Region, language: string): Promise<Answer<VolumeAnswer>>
  history(
    phrase: string,
    region: Region,
    language: string,
    months: number,
  ): Promise<Answer<{ monthsEnd: string; months: (number | null)[] }>>
  /** Related phrases by falling volume everywhere, the seed itself included when it is known. */
  related(phrase: string, region: Region, language: string): Promise<Answer<string[]>>
  byRegion(phrase: string, language: string): Promise<Answer<{ region: string; volume: number }[]>>
}

export interface WebSearch {
  suggest(prefix: string, region: Region, language: string): Promise<Answer<string[]>>
  /** Whether the result page of a web search shows videos for the phrase. */
  videoBlock(phrase: string, region: Region, language: string): Promise<Answer<boolean>>
  /** The videos of that block, first one first; empty where none is shown. */
  blockVideos(phrase: string, region: Region, language: string): Promise<Answer<SiteVideo[]>>
}

/** What a translation service can do. */
export interface TranslationPairs {
  pairs: { from: string; to: string }[]
  /** A description of the service; '' where it gives none. */
  note: string
}

export interface Translation {
  languages(): Promise<Answer<TranslationPairs>>
  /** Each text by itself; `null` where it does not know the pair of languages. Line breaks stay. */
  translate(texts: string[], from: string, to: string): Promise<Answer<TranslatedText[] | null>>
}

export interface Services {
  site: VideoSite
  demand: DemandData
  web: WebSearch
  /** Another web search engine, with suggestions and a block of videos of its own. */
  otherWeb: WebSearch
  translation: Translation
}

/** How a call to a service can fail, distinguished by `name`, which survives threads and wires. */
export type ServiceFault = 'ServiceRefused' | 'ServiceFailed' | 'NotAsked' | 'NoService'

/** Who may not spend calls is answered from what is kept. */
export interface MayAsk {
  /** Whether services may be asked; yes unless said otherwise. */
  mayAsk?: boolean
  /** Whether there is none to ask: what is kept is then all there is, and nothing is missing from it. */
  ownDataOnly?: boolean
}

/** A fault of a service, as thrown by every implementation. */
export function serviceError(fault: ServiceFault, message: string): Error {
  const error = new Error(message)
  error.name = fault
  return error
}
