import { PROFILES } from '../../core/draft/limits'
import { RULE_SETS } from '../../core/draft/ruleset'
import { pointsAndOutcomes } from '../../core/ranks/pointsAndOutcomes'
import type { PointsAnswer } from '../../shared/points'
import { toSiteVideo } from '../data/videos'
import { knownRuleSet } from '../http/scoring'
import type { Runtime } from '../runtime'
import { inLanes } from '../threads/inLanes'
import { inTime, unknownWhereLate } from '../threads/inTime'
import type { OutVideo } from './outVideos'

type Stores = Pick<Runtime, 'videos' | 'workspaceItems'> & { scoring: Pick<Runtime['scoring'], 'lanes' | 'many'> }

/** Rule sets of one’s own that are looked at. */
const MOST_SETS = 6
/** Texts in one question to a thread: some tens of milliseconds. */
const TOGETHER = 10

/** Whether points under each rule set go with what became of a workspace’s videos. */
export async function pointsAnswer(
  stores: Stores,
  workspace: string,
  videos: readonly OutVideo[],
): Promise<PointsAnswer> {
  const sets = [
    ...RULE_SETS,
    ...stores.workspaceItems
      .list(workspace, 'ruleSet')
      .slice(0, MOST_SETS)
      .flatMap(({ id }) => knownRuleSet(stores, id) ?? []),
  ]
  const percents: (number | null)[][] = videos.map(() => [])
  for (const set of sets) {
    let at = 0
    const scored = inLanes(videos, { lanes: stores.scoring.lanes, together: TOGETHER }, (some, lane) =>
      inTime(
        some.map(({ video, lead }) => {
          const { title, description, tags } = toSiteVideo(stores.videos.video(video)!)
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
