import { rankDay } from '../core/ranks/standing'
import { SPREAD } from '../core/rivals/forecast'
import { ownStrength } from '../core/rivals/ownStrength'
import { phraseKey } from '../core/text/words'
import { DAY } from '../core/time'
import type { AskedStore } from '../server/data/asked'
import type { ForecastStore } from '../server/data/forecasts'
import { keptPage } from '../server/demand/assess'
import { fetchMissingVolumes } from '../server/demand/lookUp'
import { foretold, OUTCOME_DAYS } from '../server/ranks/forecasts'
import { RANK_DEPTH } from '../server/ranks/look'
import { Behaviour } from '../server/services/standin/behaviour'
import type { SiteVideo } from '../server/services/contract'
import { openStandin } from '../server/services/standin/standin'
import type { Ranking } from './released'

const REGION = 'GB'
const LANGUAGE = 'en'
/** Videos that came out within some time, long enough ago that it is known what came. */
const [YOUNGEST, OLDEST] = [OUTCOME_DAYS + 1, 500]
/** Phrases a video was made for: the first of its tags that are more than a word. */
const PHRASES = 3

/**
 * What would have been told of the workshop's videos on the day before each came out, from the page as the site showed
 * it then, and where the video stood four weeks after: the world's clock set back.
 * @returns of how many videos, and how many phrases.
 */
export async function giveForetold(
  world: string,
  forecasts: ForecastStore,
  { deps, videos, channel, now }: Ranking & { deps: { asked: AskedStore } },
  workspace: string,
): Promise<{ videos: number; phrases: number }> {
  const out = videos
    .filter(({ publishedAt }) => {
      const age = (now - (publishedAt ?? 0)) / DAY
      return age >= YOUNGEST && age <= OLDEST
    })
    .sort((a, b) => a.publishedAt! - b.publishedAt!)
  // By fixed weights: nothing was learnt yet.
  const kept = { phrases: deps.phrases, results: deps.results }
  let told = 0
  for (const video of out) {
    const phrases = (video.tags ?? [])
      .map(phraseKey)
      .filter(tag => tag.includes(' '))
      .slice(0, PHRASES)
    const before = video.publishedAt! - DAY
    const then = openStandin(world, new Behaviour(), () => before)
    const [{ data: was }, { data: list }] = await Promise.all([
      then.site.channel(channel, LANGUAGE),
      then.site.channelVideos(channel, LANGUAGE),
    ])
    const own = ownStrength({ subscribers: was?.subscribers ?? null, videos: list.flatMap(counted) }, before)
    if (!own) throw new Error('Nothing is known of the workshop before its videos.')
    const missing = await fetchMissingVolumes({ ...deps, services: then }, phrases, REGION, LANGUAGE)
    if (missing.length) throw new Error(`Could not load ${missing.join(', ')}.`)
    for (const phrase of phrases) {
      await keptPage({ ...deps, services: then, now: () => before }, phrase, REGION, LANGUAGE, RANK_DEPTH)
      const found = foretold(
        kept,
        phrase,
        { region: REGION, language: LANGUAGE },
        { ...own, spread: SPREAD },
        undefined,
      )
      if (!found) continue
      forecasts.put({ workspace, brief: null, video: video.id }, { ...found, moment: 'published', at: before })
      told++
    }
    then.close()
    const after = video.publishedAt! + OUTCOME_DAYS * DAY
    const later = openStandin(world, new Behaviour(), () => after)
    const ids = deps.phrases.phraseIds(phrases, LANGUAGE)
    for (const [i, phrase] of phrases.entries()) {
      const { data } = await later.site.search(phrase, REGION, LANGUAGE, RANK_DEPTH)
      const place = data.videos.findIndex(({ id }) => id === video.id)
      const ranks = new Map([[video.id, place < 0 ? null : place + 1]])
      deps.ranks.save({ phraseId: ids[i]!, region: REGION, kind: 'site' }, rankDay(after), ranks, RANK_DEPTH)
    }
    later.close()
  }
  return { videos: out.length, phrases: told }
}

const counted = ({ views, publishedAt }: SiteVideo) =>
  views === null || publishedAt === null ? [] : [{ views, publishedAt }]
