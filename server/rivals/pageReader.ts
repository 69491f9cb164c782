import { intentOf, type Intent } from '../../core/demand/intent'
import { RivalReader, strength, viewsPerDay, type Strength } from '../../core/rivals/strength'
import { readPhrase } from '../../core/text/match'
import type { SiteVideo } from '../services/contract'

/** A page as a service returned it, to be read against its phrase. */
export interface PageToRead {
  phrase: string
  language: string
  at: number
  videos: SiteVideo[]
}
export interface PageRead {
  strengths: Strength[]
  intent: Intent | null
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

/** The strengths of one page's seats, and what its searchers want as far as wording or results tell. */
export function readPage({ phrase, language, at, videos }: PageToRead): PageRead {
  const read = readPhrase(phrase, language)
  const reader = readerFor(language)
  return {
    strengths: videos.map(video =>
      strength(
        read,
        {
          ...video,
          subscribers: video.channel.subscribers,
          viewsPerDay:
            video.views === null || video.publishedAt === null ? null : viewsPerDay(video.views, video.publishedAt, at),
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
  }
}

/** Reads in this thread: for tests and for making the demo's data. */
export const readHere: PageReader = { read: pages => Promise.resolve(pages.map(readPage)) }
