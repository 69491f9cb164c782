import { phraseKey } from '../../core/text/words'
import type { ShortlistColumn } from '../../shared/phrases'
import { resultsQuerySchema } from '../../shared/rivals'
import { answerResults } from '../rivals/resultsAnswer'
import type { Runtime } from '../runtime'
import { isServiceFault } from '../services/retry'
import { keptPage } from './assess'
import { answerDetail, answerSheet, type SheetFor } from './sheet'

/** One phrase on every figure a shortlist compares; what cannot be had stays unknown and is said. */
export async function shortlistColumn(runtime: Runtime, given: string, region: string | null, language: string, workspace: string | undefined, whom: SheetFor): Promise<ShortlistColumn> {
  const { phrases, results } = runtime
  const phrase = phraseKey(given)
  phrases.phraseId(phrase, language)
  let problem: string | null = null
  const page = await keptPage(runtime, phrase, region ?? '', language, 60).catch((error: unknown) => {
    if (!isServiceFault(error)) throw error
    problem = (error as Error).message
    return null
  })
  const detail = answerDetail(phrases, results, phrase, region, language, whom)!
  const sheet = answerSheet(phrases, results, detail, region, language, whom.places)
  const query = resultsQuerySchema.parse({ phrase, language, depth: 60, workspace, ...(region ? { region } : {}) })
  const reading = page && answerResults(runtime, page.page, query, null, null).reading
  return {
    row: detail, story: sheet.story, intent: sheet.intent, difficultyParts: detail.difficultyParts,
    forecast: reading?.forecast ? { pageOne: reading.forecast.pageOne, likely: reading.forecast.likely, softSeats: reading.forecast.softSeats.filter(rank => rank <= 20).length } : null,
    winnings: reading?.winnings ?? null, turnover: reading?.turnover ?? null, age: reading?.age ?? null, exactTitles: reading?.exactTitles ?? 0,
    competitionPerThousand: sheet.competitionPerThousand, meanings: sheet.meanings.map(each => each.name), problem: problem ?? page?.problem ?? null,
  }
}
