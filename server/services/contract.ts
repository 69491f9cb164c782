import type { ChannelRecord, VideoRecord } from '../../core/formats/videoRecord'

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
  /** The site's own count of videos with the phrase in their title. */
  /** `null` where the site does not tell it. */
  titleMatches: number | null
  videos: SiteVideo[]
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

export interface Services {
  site: VideoSite
  demand: DemandData
  web: WebSearch
}

/** How a call to a service can fail, distinguished by `name`, which survives threads and wires. */
export type ServiceFault = 'ServiceRefused' | 'ServiceFailed' | 'NotAsked'

/** Who may not spend calls is answered from what is kept. */
export interface MayAsk {
  /** Whether services may be asked; yes unless said otherwise. */
  mayAsk?: boolean
}

/** A fault of a service, as thrown by every implementation. */
export function serviceError(fault: ServiceFault, message: string): Error {
  const error = new Error(message)
  error.name = fault
  return error
}
