import type { BriefFields } from '../core/brief/brief'
import { emptyFields } from '../core/brief/brief'
import { rankDay } from '../core/ranks/standing'
import { DAY } from '../core/time'
import { publicationStore } from '../server/data/publications'
import type { BriefStore } from '../server/data/briefs'
import type { Db } from '../server/data/open'
import type { VideoChangeStore } from '../server/data/videoChanges'
import type { WatchStore } from '../server/data/watches'
import { lookAtRank, RANK_DEPTH, type RankDeps } from '../server/ranks/look'
import { Behaviour } from '../server/services/standin/behaviour'
import type { SiteVideo, VideoSite } from '../server/services/contract'
import { openStandin } from '../server/services/standin/standin'
import { v7 as uuid } from 'uuid'

/** The region and language of the workshop's viewers. */
const REGION = 'GB'
const LANGUAGE = 'en'
/** Four videos of the workshop by their titles, and the searches they were made for: some went well, some did not. */
const WATCHED: readonly { title: RegExp; phrases: readonly string[] }[] = [
  {
    title: /bike chain is rusty after winter/u,
    phrases: ['rusty bike chain', 'bike chain rusty after winter', 'touring bike chain'],
  },
  {
    title: /chain without degreaser/u,
    phrases: ['how to clean a bike chain without degreaser', 'how to clean a chain'],
  },
  { title: /bleed a disc brake/u, phrases: ['how to bleed a disc brake', 'spongy disc brake'] },
  { title: /^How I align a rear mech/u, phrases: ['how to align a rear mech', 'how to align a rear derailleur'] },
]
/** One of them got another title, so many days ago, and has been watched under it since. */
const REWORDED = {
  title: /chain without degreaser/u,
  to: 'How to clean a bike chain without degreaser, step by step',
  ago: 42,
} as const
/** Ranks reach back so far: weekly at first, then daily, in days. */
const WEEKS = 12
const DAILY_FROM = 14
/** Days ago whose pages are kept whole, as thinning would have left them. */
const KEPT = new Set([84, 63, 42, 28, 14, 7, 0])

/** What the ranks are looked up with. */
export interface Ranking {
  deps: Omit<RankDeps, 'now'>
  /** The workshop's videos. */
  videos: readonly SiteVideo[]
  channel: string
  now: number
}

const videoOf = (videos: readonly SiteVideo[], title: RegExp): SiteVideo => {
  const found = videos.find(video => title.test(video.title))
  if (!found) throw new Error(`The workshop has no video like ${title.source}.`)
  return found
}

/** The brief of a video that came out, with the texts the video has. @returns its id. */
export function giveReleasedBrief(
  db: Db,
  briefs: BriefStore,
  { videos, usual, workspace }: { videos: readonly SiteVideo[]; usual: Partial<BriefFields>; workspace: string },
): string {
  const [{ title, phrases }] = WATCHED as [(typeof WATCHED)[number]]
  const video = videoOf(videos, title)
  const [lead, ...support] = phrases
  const { id } = briefs.create(
    {
      ...emptyFields(),
      ...usual,
      topic: 'Why a chain rusts in winter',
      region: REGION,
      language: LANGUAGE,
      tray: { lead: lead!, support, setAside: [] },
      title: video.title,
      description: video.description ?? '',
      tags: video.tags ?? [],
      fileName: 'rusty-bike-chain.mp4',
      seconds: video.durationSeconds ?? 0,
    },
    undefined,
    { workspace },
  )
  const publications = publicationStore(db, () => video.publishedAt ?? 0)
  const publication = uuid()
  publications.begin({
    id: publication,
    briefId: id,
    channel: video.channel.id,
    file: 'rusty-bike-chain.mp4',
    bytes: 0,
    seconds: video.durationSeconds ?? 0,
  })
  publications.end(publication, { state: 'out', video: video.id, visibleFrom: video.publishedAt, source: 'demo site' })
  return id
}

/**
 * The looks of the weeks before today, each as the site answered with the world's clock set back to the day, and the
 * change of a title in their middle.
 */
export async function giveEarlierRanks(
  world: string,
  { deps, videos, channel, now }: Ranking,
  changes: VideoChangeStore,
): Promise<{ phrases: number; days: number }> {
  let days = 0
  for (let ago = 7 * WEEKS; ago > 0; ago -= ago > DAILY_FROM ? 7 : 1, days++) {
    const at = now - ago * DAY
    const then = openStandin(world, new Behaviour(), () => at)
    then.catchUp()
    // Before a video was out it stood nowhere, which is no rank.
    const out = watchedOf(videos).filter(({ video }) => (video.publishedAt ?? 0) <= at)
    for (const { video, phrases } of out) {
      if (KEPT.has(ago)) {
        await lookAt({ ...deps, services: then, now: () => at }, video.id, phrases, channel)
        continue
      }
      const ids = deps.phrases.phraseIds(phrases, LANGUAGE)
      for (const [i, phrase] of phrases.entries()) {
        const { data } = await then.site.search(phrase, REGION, LANGUAGE, RANK_DEPTH)
        const place = data.videos.findIndex(({ id }) => id === video.id)
        const ranks = new Map([[video.id, place < 0 ? null : place + 1]])
        deps.ranks.save({ phraseId: ids[i]!, region: REGION, kind: 'site' }, rankDay(at), ranks, RANK_DEPTH)
      }
    }
    if (ago === REWORDED.ago) await reword(then.site, videoOf(videos, REWORDED.title), at, changes)
    then.close()
  }
  return { phrases: WATCHED.flatMap(({ phrases }) => phrases).length, days }
}

async function reword(site: VideoSite, { id, title }: SiteVideo, at: number, changes: VideoChangeStore): Promise<void> {
  const { data } = await site.update(id, { title: REWORDED.to })
  if (data.problems.length) throw new Error(data.problems[0]!.message)
  changes.save(id, [{ at, field: 'title', before: title, after: REWORDED.to }])
}

/** Today's look, and a watch that goes on with it. */
export async function giveWatches(
  watches: WatchStore,
  { deps, videos, channel, now }: Ranking,
  workspace: string,
): Promise<void> {
  for (const { video, phrases } of watchedOf(videos)) {
    await lookAt({ ...deps, now: () => now }, video.id, phrases, channel)
    const pages = deps.phrases
      .phraseIds(phrases, LANGUAGE)
      .map(phraseId => ({ video: video.id, page: { phraseId, region: REGION, kind: 'site' as const } }))
    if (!watches.add(workspace, pages, 1)) throw new Error('The demo watches too much.')
  }
}

const watchedOf = (videos: readonly SiteVideo[]) =>
  WATCHED.map(({ title, phrases }) => ({ video: videoOf(videos, title), phrases }))

async function lookAt(deps: RankDeps, video: string, phrases: readonly string[], channel: string): Promise<void> {
  for (const phrase of phrases) {
    const look = { video, phrase, region: REGION, language: LANGUAGE, kind: 'site' as const, channel }
    const { problem } = await lookAtRank(deps, look)
    if (problem) throw new Error(problem)
  }
}
