import { recogniseEarnedColumns } from '../../core/formats/earnedColumns'
import { EARNED_NUMBERS, earnedRow, type EarnedRow } from '../../core/formats/earnedTable'
import { readDayTable, type DayTableEvent, type DayTableQuestion } from './readDayTable'

export type EarnedEvent = DayTableEvent<EarnedRow>
/** `currency` is a code such as `GBP`: amounts in another one are refused. */
export type EarnedQuestion = DayTableQuestion & { currency: string }

/**
 * Reads a table of clicks, calls, coupons and orders.
 * @throws Error with a message for the user when it cannot be read at all.
 */
export const readEarned = ({ currency, ...question }: EarnedQuestion): AsyncGenerator<EarnedEvent> =>
  readDayTable(question, {
    recognise: recogniseEarnedColumns,
    numbers: EARNED_NUMBERS,
    row: (cells, map, style) => earnedRow(cells, map, style, currency),
  })
