import type { DayOrder } from '../../core/formats/calendarDay'
import { dayHeader, HEADER_LINES } from '../../core/formats/dayHeader'
import { DayEvidence, isTotalLine, type DayColumns, type DayStyle } from '../../core/formats/dayStyle'
import { delimitedLines, delimiterOf } from './delimited'
import { fileText } from './fileText'

/** The events of reading a table with a line for each day, in order: its columns, then its lines. */
export type DayTableEvent<Row> =
  | { kind: 'columns'; headers: string[]; map: DayColumns }
  | { kind: 'unknown-columns'; headers: string[]; sample: string[][] }
  /** The order of day and month is not to be told by the file. */
  | { kind: 'unknown-order'; example: string }
  /** `part` is how much of the file was read by then, 0 to 1. */
  | { kind: 'days'; list: { line: number; row: Row }[]; totals: number; part: number }
  | { kind: 'refused'; lines: { line: number; reason: string }[] }

export interface DayTableQuestion {
  file: string
  /** Columns matched by hand; `null` for those that are recognised. */
  columns: DayColumns | null
  order: DayOrder | null
  decimal: DayStyle['decimal']
  zone: string
  /** Days since 1970. */
  today: number
}
/** What a table's columns mean, and what a line of it says. */
export interface DayTable<Row> {
  recognise: (headers: readonly string[]) => DayColumns | null
  /** The columns of numbers, by which it is seen how the file writes them. */
  numbers: readonly string[]
  row: (cells: readonly string[], map: DayColumns, style: DayStyle) => Row | { reason: string }
}

/** From which header each column is read. */
export const namedColumns = ({ headers, map }: { headers: string[]; map: DayColumns }): Record<string, string> =>
  Object.fromEntries(Object.entries(map).map(([column, index]) => [column, headers[index!] || `column ${index! + 1}`]))

/** Lines handed on in one go: as many as one transaction may write. */
const BATCH = 1000
/** Lines shown where columns must be matched by hand. */
const SAMPLE = 5

/**
 * Reads a table with a line for each day, CSV or TSV, twice: first how it writes days and numbers, then what they are.
 * @throws Error with a message for the user when the file as a whole cannot be read.
 */
export async function* readDayTable<Row extends { day: number }>(
  question: DayTableQuestion,
  { recognise, numbers, row: rowOf }: DayTable<Row>,
): AsyncGenerator<DayTableEvent<Row>> {
  const { columns, order, decimal, zone, today } = question
  const of = fileText(question.file)
  // The line that has most cells tells what parts them: a title may stand above.
  const firstLines = of.beginning.split(/\r\n|\n|\r/u, 40)
  const delimiter = delimiterOf(
    firstLines.reduce((best, line) => (cellsIn(line) > cellsIn(best) ? line : best), firstLines[0] ?? ''),
  )
  const isBlank = (cells: readonly string[]) => cells.every(cell => !cell.trim())
  async function* lines(progress?: (part: number) => void) {
    for await (const block of delimitedLines(of, delimiter, progress))
      for (const each of block) if (each.cells === null || !isBlank(each.cells)) yield each
  }

  const first: string[][] = []
  for await (const { cells } of lines()) {
    if (cells) first.push(cells)
    if (first.length > HEADER_LINES) break
  }
  if (!first.length) throw new Error('The file has no readable lines.')
  const found = dayHeader(first, recognise)
  const map = columns ?? found?.map ?? null
  const headers = found?.headers ?? first[0]!
  if (!map) return yield { kind: 'unknown-columns', headers, sample: first.slice(1, 1 + SAMPLE) }
  const headLines = found?.lines ?? 1

  const evidence = new DayEvidence(map, numbers, headers, today, zone)
  let n = 0
  for await (const { cells } of lines()) if (cells && n++ >= headLines) evidence.add(cells)
  const seen = evidence.style()
  const known = order ?? seen.order
  if (!known) return yield { kind: 'unknown-order', example: seen.example }
  const style: DayStyle = { ...seen, order: known, decimal: decimal ?? seen.decimal }
  yield { kind: 'columns', headers, map }

  let part = 0
  let list: { line: number; row: Row }[] = []
  let refused: { line: number; reason: string }[] = []
  let totals = 0
  n = 0
  const hand = function* (): Generator<DayTableEvent<Row>> {
    if (refused.length) yield { kind: 'refused', lines: refused }
    if (list.length || totals) yield { kind: 'days', list, totals, part }
    list = []
    refused = []
    totals = 0
  }
  for await (const item of lines(read => {
    part = read
  })) {
    const { line, cells } = item
    if (cells === null) refused.push({ line, reason: item.reason })
    else if (n++ >= headLines) {
      if (isTotalLine(cells, map)) totals++
      else {
        const row = rowOf(cells, map, style)
        if ('reason' in row) refused.push({ line, reason: row.reason })
        else if (row.day > today + 1) refused.push({ line, reason: 'This day is still to come.' })
        else list.push({ line, row })
      }
    }
    if (list.length >= BATCH || refused.length >= BATCH) yield* hand()
  }
  part = 1
  yield* hand()
}
const cellsIn = (line: string) => Math.max(...['\t', ';', ',', '|'].map(mark => line.split(mark).length))
