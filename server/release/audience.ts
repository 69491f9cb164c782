import { bestHours, hoursInZone } from '../../core/release/audience'
import { DAY } from '../../core/time'
import type { AudienceAnswer } from '../../shared/release'
import type { WorkspaceFacts } from '../data/workspaces'
import type { AskedStore } from '../data/asked'
import type { AudienceStore } from '../data/audiences'
import type { MayAsk, Services } from '../services/contract'
import { isServiceFault, withRetry } from '../services/retry'

/** Habits change slowly. */
const LOOK_AGE_MS = 7 * DAY

export interface AudienceDeps extends MayAsk {
  audiences: AudienceStore
  services: Pick<Services, 'site'>
  asked: AskedStore
  now: () => number
}

/** When a workspace's viewers are there, as is kept: a table that was read in goes before what the site tells. */
export function audienceAnswer(
  { audiences }: Pick<AudienceDeps, 'audiences'>,
  { id, channelId, timeZone }: WorkspaceFacts,
  problem: string | null = null,
): AudienceAnswer {
  const readIn = audiences.readIn(id)
  const kept = readIn ?? audiences.told(id, channelId)
  if (!kept) return { hours: null, best: [], timeZone, source: null, at: null, readIn: false, problem }
  const hours = hoursInZone(kept.hours, kept.zone, timeZone, kept.at)
  return {
    hours,
    best: bestHours(hours),
    timeZone,
    source: kept.source,
    at: kept.at,
    readIn: readIn !== null,
    problem,
  }
}

/** The same, after a look at the site where that is due. @param anew asks also before that. */
export async function lookAtAudience(
  deps: AudienceDeps,
  workspace: WorkspaceFacts,
  anew = false,
): Promise<AudienceAnswer> {
  const { audiences, services, asked, now, mayAsk = true, ownDataOnly } = deps
  const { id, channelId } = workspace
  let problem: string | null = null
  const told = audiences.told(id, channelId)
  const isDue = anew || (!audiences.readIn(id) && (!told || now() - told.at >= LOOK_AGE_MS))
  if (channelId !== null && mayAsk && !ownDataOnly && isDue) {
    const what = ['audience', channelId]
    const waits = anew ? null : asked.waits(what)
    if (waits) problem = waits.problem
    else
      try {
        const { data, complete, source, at } = await withRetry(() => services.site.audience(channelId))
        // Half a week would make the other half look empty.
        if (data && complete && data.hours.some(value => value > 0))
          audiences.saveTold(id, channelId, { hours: data.hours, zone: 'UTC', source, at })
        else if (!data) {
          problem = 'The site has no viewing hours for this channel.'
          asked.nothing([what])
        } else if (!complete) {
          problem = 'The site told only a part. Ask again.'
          asked.failed([what], problem)
        }
      } catch (error) {
        if (!isServiceFault(error)) throw error
        problem = (error as Error).message
        asked.failed([what], problem)
      }
  }
  return audienceAnswer(deps, workspace, problem)
}
