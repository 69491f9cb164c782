import type { Answering } from './answering'
import type { Region, SiteVideo, WebSearch } from '../contract'
import { hash } from './chance'
import type { OpenWorld } from './openWorld'
import { siteVideos } from './siteVideos'
import { spoken, suggesting, terms, type Suggester } from './suggesting'

/** What sets one engine apart from another. */
interface Engine {
  name: string
  suggester: Suggester
  /** Parts in ten of the phrases for which it shows videos: where something is to be done, and elsewhere. */
  shows: { doing: number; other: number }
  /** How many videos its block has at most. */
  block: number
  /** Whether titles that answer word for word come first, or those of the young. */
  prefers: 'wording' | 'youth'
}
export const WEB: Engine = {
  name: 'web search',
  suggester: 'web',
  shows: { doing: 8, other: 3 },
  block: 10,
  prefers: 'wording',
}
export const OTHER_WEB: Engine = {
  name: 'other web search',
  suggester: 'otherWeb',
  shows: { doing: 6, other: 2 },
  block: 6,
  prefers: 'youth',
}

const DOING =
  /^(how|best way|easy way|can you|why|wie|warum)|fix|replace|adjust|tutorial|wechseln|einstellen|anleitung/u

/** Whether a web search shows videos for a phrase: mostly where something is to be done. */
export const showsVideos = (phrase: string, { shows, suggester }: Engine = WEB) =>
  hash(suggester === 'web' ? phrase : `${suggester} ${phrase}`) % 10 < (DOING.test(phrase) ? shows.doing : shows.other)

/** A web search engine: its suggestions, and its block of the site's videos. */
export function webSearch(world: OpenWorld, { call, answer }: Answering, engine: Engine): WebSearch {
  const suggestions = suggesting(world)
  const toVideo = siteVideos(world)
  return {
    suggest: call((prefix: string, _region: Region, language: string) =>
      answer(engine.name, suggestions(engine.suggester, prefix, language)),
    ),
    videoBlock: call((phrase: string) => answer(engine.name, showsVideos(phrase, engine))),
    // The block shows fewer videos than the site, in an order of its own.
    blockVideos: call((phrase: string, region: Region, language: string) => {
      if (!showsVideos(phrase, engine)) return answer(engine.name, [] as SiteVideo[])
      const found = world.ranking.rank(phrase, region, spoken(language), 30).map(toVideo)
      const holds = ({ title }: SiteVideo) => terms(phrase).every(word => title.toLowerCase().includes(word))
      const young = (video: SiteVideo) => world.clock.now() - video.publishedAt! < 730 * 86_400_000
      const first = engine.prefers === 'wording' ? holds : young
      return answer(
        engine.name,
        [...found.filter(first), ...found.filter(video => !first(video))].slice(0, engine.block),
      )
    }),
  }
}
