import { setImmediate as nextTurn } from 'node:timers/promises'
import { rewordedViews, type Reworded } from '../../core/ranks/reworded'
import { isFresh, rankDay, type RankDay } from '../../core/ranks/standing'
import { phraseKey } from '../../core/text/words'
import type { AuditRow } from '../../shared/audit'
import { toSiteVideo } from '../data/videos'
import type { Runtime } from '../runtime'
import type { LearntModels } from '../rivals/learntModels'
import { wordedRanks, type VideoTexts, type WordedRanks } from '../rivals/wordedRanks'
import { aimsOf, likelyLeadOf, type VideoLead } from './likelyLeads'

export type WeighStores = Pick<
  Runtime,
  'aimed' | 'phrases' | 'putOff' | 'ranks' | 'results' | 'videoBriefs' | 'videos' | 'workspaces' | 'now'
> & { chances: LearntModels }

/** A video with what better words would bring it. */
export interface Weighed {
  row: Omit<AuditRow, 'percent' | 'lacks' | 'edit'>
  lead: VideoLead
  /** Views that other texts would bring; `null` where that is not known. */
  viewsOf: ((texts: VideoTexts) => Reworded) | null
}

/** What each video is meant for, where it stands, and what full wording would bring it; from what is kept. */
export async function* weighVideos(
  stores: WeighStores,
  { workspace: asked, region }: { workspace: string | undefined; region: string },
  codes: readonly string[],
): AsyncGenerator<Weighed> {
  const { aimed, phrases, putOff, ranks, results, videoBriefs, videos, workspaces, now } = stores
  const { own: standing, settings, workspace } = workspaces.standing(asked)
  const { id, language } = workspace!
  await nextTurn()
  const own = standing && workspace!.own ? { ...workspace!.own, ...standing } : null
  const briefOf = videoBriefs(id)
  const off = putOff.of(id, now())
  const today = rankDay(now())
  const aims = aimsOf(aimed, id, region, language)
  for (const code of codes) {
    // A page's results are read for each: others have their turn after every one.
    await nextTurn()
    const video = videos.video(code)!
    const { title, published_at, views } = video
    const texts = toSiteVideo(video)
    const brief = briefOf(code)
    const lead = likelyLeadOf(phrases, {
      brief,
      aimed: aims(code),
      title,
      tags: texts.tags,
      region,
      language,
    })
    const known = lead.lead ? phrases.known(phraseKey(lead.lead), region, lead.language) : null
    const rank = known ? lastRank(ranks.of({ video: code, phrase: known.text, region, kind: 'site' })) : null
    const page = known && results.latest(known.id, region)
    const searches = known?.volume ?? null
    const worded =
      page && own && searches !== null
        ? wordedRanks(stores, page, own, { phrase: known.text, language: lead.language, video: code })
        : null
    const viewsOf =
      worded && viewsBy(worded, texts, searches!, settings.shares, rank && isFresh(rank, today) ? rank : null)
    yield {
      row: {
        videoId: code,
        title,
        publishedAt: published_at,
        views,
        brief: brief?.id ?? null,
        lead: lead.lead,
        leadFrom: lead.from,
        searches,
        rank,
        pageAt: page?.at ?? null,
        words: viewsOf && viewsOf(worded!.full),
        off: off.has(`mend:${code}`),
      },
      lead,
      viewsOf: viewsOf && (texts => viewsOf(worded!.of(texts))),
    }
  }
}

const lastRank = (series: { days: RankDay[] }[]): RankDay | null => series[0]?.days.at(-1) ?? null
const viewsBy = (
  worded: WordedRanks,
  texts: VideoTexts,
  searches: number,
  shares: Parameters<typeof rewordedViews>[3],
  seen: RankDay | null,
) => {
  const before = worded.of(texts)
  return (after: Float64Array) => rewordedViews(before, after, searches, shares, seen)
}
