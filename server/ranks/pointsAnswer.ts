import { setImmediate as nextTurn } from 'node:timers/promises'
import { PROFILES } from '../../core/draft/limits'
import { RULE_SETS } from '../../core/draft/ruleset'
import { FIRST_DAYS } from '../../core/ranks/firstWeeks'
import { pointsAndOutcomes, type VideoOutcome } from '../../core/ranks/pointsAndOutcomes'
import { rankDay } from '../../core/ranks/standing'
import { PAGE_SEATS } from '../../core/rivals/difficulty'
import { phraseKey } from '../../core/text/words'
import type { PointsAnswer } from '../../shared/points'
import { toSiteVideo } from '../data/videos'
import { knownRuleSet } from '../http/scoring'
import type { Runtime } from '../runtime'
import { inLanes } from '../threads/inLanes'
import { inTime, unknownWhereLate } from '../threads/inTime'
import { OUTCOME_DAYS, OUTCOME_LATER } from './forecasts'
import { firstDaysOf } from './views'
import { weighVideos, type Weighed, type WeighStores } from './weighVideos'

type Stores = WeighStores &
  Pick<Runtime, 'videoDays' | 'workspaceItems'> & { scoring: Pick<Runtime['scoring'], 'lanes' | 'many'> }

/** The newest videos that are scored, and the rule sets of one’s own. */
const MOST = 300
const MOST_SETS = 6
/** So much of the first days has to be known. */
const LEAST_KNOWN = 0.8
/** Texts in one question to a thread: some tens of milliseconds. */
const TOGETHER = 10

/** Whether points under each rule set go with what became of a workspace’s videos; from what is kept. */
export async function pointsAnswer(stores: Stores, workspace: string, region: string): Promise<PointsAnswer> {
  const { channelId } = stores.workspaces.get(workspace)!
  const sets = [
    ...RULE_SETS,
    ...stores.workspaceItems
      .list(workspace, 'ruleSet')
      .slice(0, MOST_SETS)
      .flatMap(({ id }) => knownRuleSet(stores, id) ?? []),
  ]
  const videos = await outOnes(stores, workspace, region, channelId)
  const percents: (number | null)[][] = videos.map(() => [])
  for (const set of sets) {
    let at = 0
    const scored = inLanes(videos, { lanes: stores.scoring.lanes, together: TOGETHER }, (some, lane) =>
      inTime(
        some.map(({ weighed: { lead, row } }) => {
          const { title, description, tags } = toSiteVideo(stores.videos.video(row.videoId)!)
          return {
            draft: { title, description: description ?? undefined, tags: tags ?? undefined },
            phrases: { lead: lead.lead, support: lead.support },
            language: lead.language,
          }
        }),
        async texts => (await stores.scoring.many(lane, texts, set, PROFILES[0]!)).map(({ percent }) => percent),
        unknownWhereLate,
      ),
    )
    for await (const percent of scored) percents[at++]!.push(percent)
  }
  const relations = pointsAndOutcomes(
    videos.map(({ outcome }, i) => ({ ...outcome, percents: percents[i]! })),
    sets.length,
  )
  return {
    videos: videos.length,
    sets: sets.map(({ id, name }, i) => ({ id, name, outcomes: relations[i]! })),
  }
}

/** The channel’s videos whose first weeks are over and of which it is known what they are for, newest first. */
async function outOnes(stores: Stores, workspace: string, region: string, channel: string | null) {
  const today = rankDay(stores.now())
  const old = (channel === null ? [] : stores.videos.ofChannel(channel))
    .filter(({ published_at }) => published_at !== null && rankDay(published_at) <= today - FIRST_DAYS)
    .slice(0, MOST)
  const found: { weighed: Weighed; outcome: Omit<VideoOutcome, 'percents'> }[] = []
  let at = 0
  for await (const weighed of weighVideos(
    stores,
    { workspace, region },
    old.map(({ code }) => code),
  )) {
    const video = old[at++]!
    if (!weighed.lead.lead) continue
    if (at % TOGETHER === 0) await nextTurn()
    const { days } = firstDaysOf(stores.videoDays, video)
    const sum = (of: 'views' | 'impressions' | 'clicks') => {
      const told = days.flatMap(day => day[of] ?? [])
      return told.length < LEAST_KNOWN * FIRST_DAYS
        ? null
        : (told.reduce((a, b) => a + b, 0) * FIRST_DAYS) / told.length
    }
    const [shown, clicks] = [sum('impressions'), sum('clicks')]
    const { searches, lead } = weighed.row
    const key = phraseKey(lead)
    found.push({
      weighed,
      outcome: {
        released: video.published_at!,
        searches,
        difficulty: stores.phrases.known(key, region, weighed.lead.language)?.difficulty ?? null,
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
