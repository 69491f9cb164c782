import type { AssessBody, AssessedRow } from '../../shared/phrases'
import type { MayAsk } from '../services/contract'
import type { Runtime } from '../runtime'
import { assess } from './assess'
import { fetchMissingVolumes } from './lookUp'

/** Phrases whose searches are asked for in one go. */
const LEARNT = 500

/** The work of an assessment: missing search figures, where wanted, then page by page. */
export async function* assessWork(
  runtime: Runtime & MayAsk,
  { phrases, region, language, workspace, learn: asks }: AssessBody,
  signal: AbortSignal,
): AsyncGenerator<AssessedRow> {
  const { own, settings } = runtime.workspaces.standing(workspace)
  const viewer = { own, weights: settings.weights, places: runtime.places.names() }
  for (let from = 0; from < phrases.length && !signal.aborted; from += LEARNT) {
    const part = phrases.slice(from, from + LEARNT)
    if (asks) await fetchMissingVolumes(runtime, part, region ?? '', language)
    yield* assess(runtime, part, region ?? '', language, signal, viewer)
  }
}
