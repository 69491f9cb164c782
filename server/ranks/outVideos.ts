import { setImmediate as nextTurn } from 'node:timers/promises'
import { FIRST_DAYS } from '../../core/ranks/firstWeeks'
import type { VideoOutcome } from '../../core/ranks/pointsAndOutcomes'
import { rankDay } from '../../core/ranks/standing'
import { PAGE_SEATS } from '../../core/rivals/difficulty'
import { phraseKey } from '../../core/text/words'
import { DAY } from '../../core/time'
import type { Runtime } from '../runtime'
import { OUTCOME_DAYS, OUTCOME_LATER } from './forecasts'
import type { VideoLead } from './likelyLeads'
import { firstDaysOf } from './views'
import { weighVideos, type WeighStores } from './weighVideos'

type Stores = WeighStores & Pick<Runtime, 'videoDays'>

/** A video whose first weeks are over, what it is for, and what became of it. */
export interface OutVideo {
  video: string
  lead: Pick<VideoLead, 'lead' | 'support' | 'language'>
  outcome: Omit<VideoOutcome, 'percents'>
}

/** The newest of them that are told. */
const MOST = 300
/** So much of the first days has to be known. */
const LEAST_KNOWN = 0.8

/** Those of a workspace’s channel of which it is known what they are for, newest first. */
export async function outVideosOf(stores: Stores, workspace: string, region: string): Promise<OutVideo[]> {
  const { channelId: channel } = stores.workspaces.get(workspace)!
  const today = rankDay(stores.now())
  const old = channel === null ? [] : stores.videos.outBy(channel, (today - FIRST_DAYS + 1) * DAY, MOST)
  await nextTurn()
  const found: OutVideo[] = []
  let at = 0
  for await (const weighed of weighVideos(
    stores,
    { workspace, region },
    old.map(({ code }) => code),
  )) {
    const video = old[at++]!
    if (!weighed.lead.lead) continue
    const { days } = firstDaysOf(stores.videoDays, video)
    const sum = (of: 'views' | 'impressions' | 'clicks') => {
      const told = days.flatMap(day => day[of] ?? [])
      return told.length < LEAST_KNOWN * FIRST_DAYS
        ? null
        : (told.reduce((a, b) => a + b, 0) * FIRST_DAYS) / told.length
    }
    const [shown, clicks] = [sum('impressions'), sum('clicks')]
    const { lead, support, language } = weighed.lead
    const key = phraseKey(lead)
    found.push({
      video: video.code,
      lead: { lead, support, language },
      outcome: {
        released: video.published_at!,
        searches: weighed.row.searches,
        difficulty: stores.phrases.known(key, region, language)?.difficulty ?? null,
        views: sum('views'),
        clickRate: shown && clicks !== null ? clicks / shown : null,
        rank: rankAfter(stores, { video: video.code, phrase: key, region }, rankDay(video.published_at!)),
      },
    })
  }
  return found
}

/** The rank four weeks after the release, or up to two weeks later; `null` where nobody looked. */
function rankAfter(
  { ranks }: Pick<Stores, 'ranks'>,
  where: { video: string; phrase: string; region: string },
  released: number,
): number | null {
  const from = released + OUTCOME_DAYS
  const [series] = ranks.of({ ...where, kind: 'site', from, to: from + OUTCOME_LATER })
  const day = series?.days.find(({ depth }) => depth >= PAGE_SEATS)
  return day ? (day.rank ?? day.depth + 1) : null
}
