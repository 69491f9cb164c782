import { setImmediate as nextTurn } from 'node:timers/promises'
import { phraseKey } from '../../core/text/words'
import type { ShortlistColumn } from '../../shared/phrases'
import { resultsQuerySchema } from '../../shared/rivals'
import { answerResults } from '../rivals/resultsAnswer'
import type { Runtime } from '../runtime'
import { isServiceFault } from '../services/retry'
import { keptPage } from './assess'
import { answerDetail, answerSheet, type SheetFor } from './sheet'

export interface ShortlistFor {
  region: string | null
  language: string
  workspace: string | undefined
  viewer: SheetFor
}

/** Phrases on every figure a shortlist compares; what cannot be had stays unknown and is said. */
export async function shortlist(
  runtime: Runtime,
  given: readonly string[],
  asked: ShortlistFor,
): Promise<ShortlistColumn[]> {
  const read = await Promise.all(
    given.map(async each => {
      const phrase = phraseKey(each)
      runtime.phrases.phraseId(phrase, asked.language)
      const page = await keptPage(runtime, phrase, asked.region ?? '', asked.language, 60).catch((error: unknown) => {
        if (!isServiceFault(error)) throw error
        return (error as Error).message
      })
      return { phrase, page }
    }),
  )
  const columns: ShortlistColumn[] = []
  for (const { phrase, page } of read) {
    columns.push(await columnOf(runtime, phrase, page, asked))
  }
  return columns
}

/** @param kept the phrase's page, or why it could not be loaded. */
async function columnOf(
  runtime: Runtime,
  phrase: string,
  found: Awaited<ReturnType<typeof keptPage>> | string,
  { region, language, workspace, viewer }: ShortlistFor,
): Promise<ShortlistColumn> {
  const { phrases, results } = runtime
  const page = typeof found === 'string' ? null : found
  const detail = answerDetail(phrases, results, phrase, region, language, viewer)!
  // Others are answered in between: what the results mean is found by comparing each with each.
  await nextTurn()
  const sheet = answerSheet(phrases, results, detail, region, language, viewer.places)
  await nextTurn()
  const query = resultsQuerySchema.parse({ phrase, language, depth: 60, workspace, ...(region ? { region } : {}) })
  const reading = page && answerResults(runtime, page.page, query, null, null).reading
  return {
    row: detail,
    story: sheet.story,
    intent: sheet.intent,
    difficultyParts: detail.difficultyParts,
    forecast: reading?.forecast
      ? {
          pageOne: reading.forecast.pageOne,
          likely: reading.forecast.likely,
          last: reading.forecast.ranks.length,
          softSeats: reading.forecast.softSeats.filter(rank => rank <= 20).length,
        }
      : null,
    winnings: reading?.winnings ?? null,
    turnover: reading?.turnover ?? null,
    age: reading?.age ?? null,
    exactTitles: reading?.exactTitles ?? 0,
    competitionPerThousand: sheet.competitionPerThousand,
    meanings: sheet.meanings.map(each => each.name),
    problem: typeof found === 'string' ? found : (found?.problem ?? null),
  }
}
