import { CHECKS } from '../../core/draft/checks'
import { aboutNothing, type Proposal } from '../../core/next/proposal'
import { DAY } from '../../core/time'
import { trialStandings, type StandingStores } from '../ranks/trials'

/** For so long an answer is news. */
const NEWS_DAYS = 14

/** Waves of trials that are due, and answers that have come lately. */
export async function trialsDue(stores: StandingStores, workspace: string): Promise<Proposal[]> {
  const at = stores.now()
  const trials = await trialStandings(stores, workspace)
  return trials.flatMap(({ id, check, waves, answer, answerAt, pairs, stoppedAt }): Proposal[] => {
    if (stoppedAt !== null) return []
    const of = {
      ...aboutNothing,
      kind: 'trial' as const,
      title: CHECKS.find(each => each.id === check)?.title ?? check,
      trial: id,
      waves: waves.length,
    }
    const next = waves.findIndex(({ begunAt }) => begunAt === null)
    const wave = waves[next]
    if (wave)
      return wave.dueAt > at
        ? []
        : [{ ...of, key: `trial:${id}:${next}`, wave: next + 1, videos: wave.videos.length, due: wave.dueAt }]
    return answer && at < answerAt! + NEWS_DAYS * DAY
      ? [{ ...of, key: `trial:${id}:answer`, wave: null, videos: 2 * pairs }]
      : []
  })
}
