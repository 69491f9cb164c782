import {
  jsonRow,
  jsonRows,
  listIn,
  readListRow,
  recogniseColumns,
  isAmbiguous,
  type ColumnMap,
} from '../../core/formats/phraseList'
import { delimitedLines, delimiterOf } from './delimited'
import { fileText, type FileText } from './fileText'
import { jsonValues } from './jsonValues'
import { ListWindow, type PackedBatch } from './listBatch'

/** The events of reading a list, in order: its columns, then batches, then the end. */
export type ListEvent =
  | { kind: 'columns'; headers: string[]; map: ColumnMap }
  | { kind: 'unknown-columns'; headers: string[]; sample: string[][] }
  /** `part` is what of the list is handed on with it, 0 to 1. */
  | { kind: 'batch'; batch: PackedBatch; part: number }
  | { kind: 'refused'; lines: { line: number; reason: string }[] }

/** Lines shown where columns must be mapped by hand. */
const SAMPLE = 5
/** Phrases handed on in one go: as many as one transaction may write. */
const BATCH = 2000
/** The same where they have months, which are read as they are kept. */
const BATCH_OF_MONTHS = 200
/**
 * Phrases put in order before they are handed on. Written in the order of their texts, neighbours come to lie on
 * the same pages of the store's index; in the order of a list, which is mostly by searches, every row
 * dirties a page of its own and the writing of pages takes most of the time.
 */
const WINDOW = 200_000
/** Refused lines sent in one event. */
const REFUSED = 10_000

/**
 * Reads a list of phrases: CSV, TSV, JSON or JSON Lines, in any of the common encodings. Bad
 * lines are told with their reason and good ones kept.
 *
 * @param given column indexes mapped by hand; else the header line is recognised.
 * @param ask whether a list that may tell searches under an unknown name is put to the person first.
 * @throws Error with a message for the user when the file as a whole cannot be read.
 */
export async function* readList(file: string, given: ColumnMap | null, ask = false): AsyncGenerator<ListEvent> {
  const text = fileText(file)
  const first = text.beginning.trimStart()[0]
  if (first === '[' || first === '{') yield* readJson(text, given, ask)
  else yield* readDelimited(text, given, ask)
}

/** Elements of a JSON list from which its columns are recognised. */
const HEADED = 1000

async function* readJson(of: FileText, given: ColumnMap | null, ask: boolean): AsyncGenerator<ListEvent> {
  // A row of a list takes some bytes at least.
  const gathered = new Gathered(of.size / 8)
  let read = 0
  let columns = null as ReturnType<typeof columnsFor> | null
  let headers: string[] = []
  /** Values whose columns are not recognised yet. */
  let waiting: { line: number; value: unknown }[] = []
  let any = false
  const flush = function* (): Generator<ListEvent> {
    const table = jsonRows(waiting.map(each => each.value))
    headers = table.headers
    columns = columnsFor(headers, table.rows.slice(0, SAMPLE), given, ask)
    yield columns.event
    if (columns.map) for (const [i, row] of table.rows.entries()) gathered.take(row, waiting[i]!.line, columns.map)
    waiting = []
  }
  for await (const item of jsonValues(of, part => {
    read = part
  })) {
    if ('reason' in item) {
      gathered.refuse(item.line, item.reason)
      continue
    }
    any = true
    if (item.whole) {
      const list = listIn(item.value)
      if (!list) throw new Error('The JSON file contains no list of phrases.')
      waiting = list.map((value, i) => ({ line: i + 1, value }))
      break
    }
    if (columns?.map) gathered.take(jsonRow(item.value, headers), item.line, columns.map)
    else if (columns) break
    else if (waiting.push(item) >= HEADED) yield* flush()
    if (gathered.full) yield* gathered.batches(read)
  }
  if (!any) throw new Error('The file looks like JSON, but no line can be read.')
  if (!columns) yield* flush()
  if (columns!.map) yield* gathered.batches(1)
}

/** Rows read and not yet handed on, and lines refused. */
class Gathered {
  private readonly window: ListWindow
  private refused: { line: number; reason: string }[] = []
  /** What of the list was handed on before. */
  private part = 0

  /** @param rows about the most there are: a short list needs little room. */
  constructor(rows: number) {
    this.window = new ListWindow(Math.min(WINDOW, Math.ceil(rows) + 1))
  }

  take(cells: readonly string[], line: number, map: ColumnMap): void {
    const row = readListRow(cells, map)
    if ('reason' in row) this.refuse(line, row.reason)
    else this.window.add(row)
  }

  refuse(line: number, reason: string): void {
    this.refused.push({ line, reason })
  }

  /** Whether there is enough to be handed on. */
  get full(): boolean {
    return this.window.full || this.refused.length >= REFUSED
  }

  /** @param to what of the list has been read by now, 0 to 1. */
  *batches(to: number): Generator<ListEvent> {
    if (this.refused.length) yield { kind: 'refused', lines: this.refused }
    this.refused = []
    const size = this.window.hasMonths ? BATCH_OF_MONTHS : BATCH
    const of = Math.ceil(this.window.size / size)
    let n = 0
    for (const batch of this.window.batches(size))
      yield { kind: 'batch', batch, part: ++n === of ? to : this.part + ((to - this.part) * n) / of }
    this.part = to
  }
}

function columnsFor(
  headers: string[],
  sample: string[][],
  given: ColumnMap | null,
  ask: boolean,
): { map: ColumnMap | null; event: ListEvent; headless: boolean } {
  const known = recogniseColumns(headers)
  const recognised = known && ask && isAmbiguous(headers, known) ? null : known
  // One column without a known header is a bare list of phrases.
  const bare = !recognised && headers.length === 1
  const map = given ?? recognised ?? (bare ? { phrase: 0 } : null)
  return map
    ? { map, headless: bare, event: { kind: 'columns', headers, map } }
    : { map: null, headless: false, event: { kind: 'unknown-columns', headers, sample } }
}

async function* readDelimited(of: FileText, given: ColumnMap | null, ask: boolean): AsyncGenerator<ListEvent> {
  const firstLine = of.beginning.split(/\r?\n|\r/u).find(line => line.trim()) ?? ''
  let columns: ReturnType<typeof columnsFor> | null = null
  let headers: string[] | null = null
  const sample: string[][] = []
  // A line has two bytes at least.
  const gathered = new Gathered(of.size / 2)
  let read = 0
  reading: for await (const lines of delimitedLines(of, delimiterOf(firstLine), part => {
    read = part
  }))
    for (const item of lines) {
      const { line, cells } = item
      if (cells === null) {
        gathered.refuse(line, item.reason)
        continue
      }
      if (cells.length === 1 && cells[0] === '') continue
      if (columns) {
        gathered.take(cells, line, columns.map!)
        if (gathered.full) yield* gathered.batches(read)
      } else if (headers) {
        sample.push(cells)
        if (sample.length === SAMPLE) break reading
      } else {
        headers = cells
        const early = columnsFor(headers, [], given, ask)
        if (!early.map) continue
        columns = early
        yield early.event
        if (early.headless) gathered.take(cells, line, early.map)
      }
    }
  if (!headers) throw new Error('The file has no readable lines.')
  if (columns) yield* gathered.batches(1)
  else yield columnsFor(headers, sample, given, ask).event
}
