import { recogniseDayColumns } from '../../core/formats/dayColumns'
import { DAY_NUMBERS, dayRow, type DayRow } from '../../core/formats/dayTable'
import { readDayTable, type DayTable, type DayTableEvent, type DayTableQuestion } from './readDayTable'

export type DaysEvent = DayTableEvent<DayRow>

const TABLE: DayTable<DayRow> = { recognise: recogniseDayColumns, numbers: DAY_NUMBERS, row: dayRow }

/** Reads a table of day figures of videos. @throws Error with a message for the user when it cannot be read at all. */
export const readDays = (question: DayTableQuestion): AsyncGenerator<DaysEvent> => readDayTable(question, TABLE)
