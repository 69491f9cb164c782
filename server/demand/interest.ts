import { DAY } from '../../core/time'
import type { PhraseStore } from '../data/phrases'
import type { AskedStore } from '../data/asked'
import type { MayAsk, Services } from '../services/contract'
import { isServiceFault, withRetry } from '../services/retry'

/** Interest by region newer than this is not requested again. */
const AGE_MS = 30 * DAY
const MISSING = ['interest by region']

/** Searches of a phrase by region, saved or loaded. @returns in descending order, with what could not be loaded. */
export async function interestByRegion(
  {
    phrases,
    services,
    asked,
    mayAsk = true,
    ownDataOnly,
    now = Date.now,
  }: { phrases: PhraseStore; services: Services; asked: AskedStore; now?: () => number } & MayAsk,
  phrase: string,
  language: string,
): Promise<{ interest: { region: string; volume: number }[]; missing: string[] }> {
  const id = phrases.phraseId(phrase, language)
  const saved = phrases.interest(id)
  const plain = (list: { region: string; volume: number }[]) => list.map(({ region, volume }) => ({ region, volume }))
  if (saved.length && now() - saved[0]!.at < AGE_MS) return { interest: plain(saved), missing: [] }
  if (!mayAsk) return { interest: plain(saved), missing: ownDataOnly ? [] : MISSING }
  const what = ['interest', language, phrase]
  const waits = asked.waits(what)
  if (waits) return { interest: plain(saved), missing: waits.problem === null ? [] : MISSING }
  try {
    const answer = await withRetry(() => services.demand.byRegion(phrase, language))
    if (!answer.data.length) asked.nothing([what])
    phrases.saveInterest(id, answer.data, answer.source, answer.at)
    return { interest: [...answer.data].sort((a, b) => b.volume - a.volume), missing: [] }
  } catch (error) {
    if (!isServiceFault(error)) throw error
    asked.failed([what], (error as Error).message)
    return { interest: plain(saved), missing: MISSING }
  }
}
