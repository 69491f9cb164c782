import { questionsLeft } from '../../core/release/answered'
import { handedState, handOverSteps } from '../../core/release/handOver'
import { leftOf, readiness } from '../../core/release/readiness'
import { stageOf, type Stage } from '../../core/release/stage'
import type { Brief } from '../../shared/brief'
import type { Runtime } from '../runtime'
import { rightsFor } from './account'
import { readinessFrom } from './readiness'

type Stores = Parameters<typeof readinessFrom>[0] & Pick<Runtime, 'accounts' | 'briefs' | 'publications'>

/**
 * The stages of many briefs by their ids, as their sheets would tell them.
 * @param briefs with all of their fields but the captions, which are read only where they decide.
 */
export function stagesOf(stores: Stores, briefs: readonly Brief[]): Map<string, Stage> {
  const out = stores.publications.out()
  const homes = new Map(
    [...new Set(briefs.map(each => each.workspaceId))].map(id => [
      id,
      {
        rights: rightsFor(stores.accounts, stores.workspaces.get(id)!.channelId),
        off: new Set(stores.workspaces.settings(id).checklist.off),
      },
    ]),
  )
  return new Map(
    briefs.map(brief => {
      const { id, workspaceId, fields } = brief
      const { rights, off } = homes.get(workspaceId)!
      const whole = () => readinessFrom(stores, stores.briefs.get(id)!, rights)
      const stage = stageOf(fields, {
        published: out.has(id),
        handedOver: () => {
          if (!Object.keys(fields.handed).length) return false
          const from = whole()
          const steps = handOverSteps(from.fields, from)
          return steps.length > 0 && steps.every(step => handedState(step, fields) === 'done')
        },
        left: () => {
          // Most briefs that are not ready have answers left: no text needs to be looked at to know that.
          if (questionsLeft(fields, rights, off)) return 1
          return leftOf(readiness(whole())).length
        },
      })
      return [id, stage]
    }),
  )
}
