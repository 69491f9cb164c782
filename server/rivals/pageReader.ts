import { intentOf } from '../../core/demand/intent'
import type { Intent } from '../../core/demand/intentNames'
import { RivalReader, strength, viewsPerDay, type Strength } from '../../core/rivals/strength'
import { hurdlesOf, type ChanceModel } from '../../core/chance/model'
import { readVideoText } from '../../core/chance/signals'
import { PAGE_SEATS } from '../../core/rivals/difficulty'
import { DAY } from '../../core/time'
import { readPhrase } from '../../core/text/match'
import { finite } from './learning'
import type { SiteVideo } from '../services/contract'

/** A page as a service returned it, to be read against its phrase. */
export interface PageToRead {
  phrase: string
  language: string
  at: number
  videos: SiteVideo[]
  /** Whether the site has results beyond these. */
  more?: boolean
  /** The model by which it is told what the page asks of a new video, by its region and time; none unless given. */
  learnt?: { region: string; at: number } | null
}
export interface PageRead {
  strengths: Strength[]
  intent: Intent | null
  /** What the page asks of a new video worded in full; `null` without a model. */
  hurdle: number | null
}

/** Reads pages: matches their words and works out each seat's strength. */
export interface PageReader {
  read: (pages: PageToRead[]) => Promise<PageRead[]>
}

/** Pages of one language follow one another: its reader is kept until another one is asked for. */
let cached: { language: string; reader: RivalReader } | null = null
function readerFor(language: string): RivalReader {
  if (cached?.language !== language) cached = { language, reader: new RivalReader(language) }
  return cached.reader
}

/** What a page asks of a new video by a model. */
function hurdleOf({ phrase, language, at, videos, more = false }: PageToRead, model: ChanceModel): number | null {
  const results = videos.slice(0, PAGE_SEATS).map(video => ({
    text: readVideoText(video, language),
    standing: {
      subscribers: video.channel.subscribers,
      viewsPerDay: dailyOf(video, at),
      ageDays: video.publishedAt === null ? null : Math.max(0, (at - video.publishedAt) / DAY),
      seconds: video.durationSeconds,
    },
    channel: video.channel.id,
    video: video.id,
  }))
  const asked = hurdlesOf(model, phrase, language, results, more)
  return asked && finite(asked.full)
}
const dailyOf = ({ views, publishedAt }: SiteVideo, at: number) =>
  views === null || publishedAt === null ? null : viewsPerDay(views, publishedAt, at)

/** The strengths of one page's seats, and what its searchers want as far as wording or results tell. */
export function readPage(page: PageToRead, model: ChanceModel | null = null): PageRead {
  const { phrase, language, at, videos } = page
  const read = readPhrase(phrase, language)
  const reader = readerFor(language)
  return {
    strengths: videos.map(video =>
      strength(
        read,
        {
          ...video,
          subscribers: video.channel.subscribers,
          viewsPerDay: dailyOf(video, at),
        },
        reader,
      ),
    ),
    intent:
      intentOf(
        phrase,
        undefined,
        videos.slice(0, 20).map(video => video.title),
        language,
      )?.intent ?? null,
    hurdle: model && hurdleOf(page, model),
  }
}

/** Reads in this thread: for tests and for making the demo's data. */
export const readHere: PageReader = { read: pages => Promise.resolve(pages.map(page => readPage(page))) }
