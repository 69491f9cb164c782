import type { DaysImported } from '../../shared/imports'
import type { DaysResult } from '../imports/importDays'
import { Problem } from './problem'

/** What a table with a line for each day took in. @throws Problem 422 where it leaves open how it is to be read. */
export function dayTableAnswer(result: DaysResult, needed: string): DaysImported {
  if (result.kind === 'imported') return result.answer
  if (result.kind === 'unknown-order')
    throw new Problem(
      422,
      'unknown-order',
      `“${result.example}” can be read in two ways. Say which comes first: the day or the month.`,
      { example: result.example },
    )
  throw new Problem(422, 'unknown-columns', `${needed} Match the columns.`, {
    headers: result.headers,
    sample: result.sample,
  })
}
