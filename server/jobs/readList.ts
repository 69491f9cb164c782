import iconv from 'iconv-lite'
import { closeSync, openSync, readFileSync, readSync, statSync } from 'node:fs'
import { jsonRows, readListRow, recogniseColumns, type ColumnMap } from '../../core/formats/phraseList'
import { delimitedLines, delimiterOf, UNREADABLE } from './delimited'
import { ListWindow, type PackedBatch } from './listBatch'

/** What reading a list tells, in order: its columns, then batches, then the end. */
export type ListEvent =
  | { kind: 'columns', headers: string[], map: ColumnMap }
  | { kind: 'unknown-columns', headers: string[], sample: string[][] }
  /** `part` is what of the list is handed on with it, 0 to 1. */
  | { kind: 'batch', batch: PackedBatch, part: number }
  | { kind: 'refused', lines: { line: number, reason: string }[] }

/** Lines shown where columns must be mapped by hand. */
const SAMPLE = 5
/** Phrases handed on in one go: as many as one transaction may write. */
const BATCH = 2000
/**
 * Phrases put in order before they are handed on. Written in the order of their texts, neighbours come to lie on
 * the same pages of the store's index; in the order of a list, which is mostly by searches, every row
 * dirties a page of its own and the writing of pages takes most of the time.
 */
const WINDOW = 200_000
/** Lines refused that are told in one go. */
const REFUSED = 10_000
/** A JSON file is read whole; a larger list should come as CSV or JSON Lines. */
const MAX_JSON = 40 * 1024 * 1024

export function peek(file: string, bytes: number): Buffer {
  const handle = openSync(file, 'r')
  try {
    const buffer = Buffer.alloc(bytes)
    return buffer.subarray(0, readSync(handle, buffer, 0, bytes, 0))
  } finally {
    closeSync(handle)
  }
}

/** The encoding of a file by its mark, else by where its zero bytes stand, else UTF-8 if it is valid, else Windows-1252. */
export function encodingOf(beginning: Buffer): string {
  if (beginning[0] === 0xff && beginning[1] === 0xfe) return 'utf-16le'
  if (beginning[0] === 0xfe && beginning[1] === 0xff) return 'utf-16be'
  if (beginning[0] === 0xef && beginning[1] === 0xbb && beginning[2] === 0xbf) return 'utf-8'
  const zeros = [0, 0]
  for (let i = 0; i < beginning.length; i++) if (beginning[i] === 0) zeros[i & 1]!++
  if (zeros[1]! > beginning.length / 8) return 'utf-16le'
  if (zeros[0]! > beginning.length / 8) return 'utf-16be'
  // A character may be cut at the end of what was read: up to three bytes are forgiven.
  for (let cut = 0; cut < 4; cut++) {
    try {
      new TextDecoder('utf-8', { fatal: true }).decode(beginning.subarray(0, beginning.length - cut))
      return 'utf-8'
    } catch { /* not valid so far: try with less */ }
  }
  return 'windows-1252'
}

/**
 * Reads a list of phrases: CSV, TSV, JSON or JSON Lines, in any of the common encodings. Bad
 * lines are told with their reason and good ones kept.
 *
 * @param given column indexes mapped by hand; else the header line is recognised.
 * @throws Error with a message for the user when the file as a whole cannot be read.
 */
export async function* readList(file: string, given: ColumnMap | null): AsyncGenerator<ListEvent> {
  const size = statSync(file).size
  if (size === 0) throw new Error('The file is empty.')
  const beginning = peek(file, 65_536)
  const encoding = encodingOf(beginning)
  const text = iconv.decode(beginning, encoding)
  const first = text.trimStart()[0]
  if (first === '[' || first === '{') yield* readJson(file, size, encoding, given)
  else yield* readDelimited(file, encoding, text, given)
}

async function* readJson(file: string, size: number, encoding: string, given: ColumnMap | null): AsyncGenerator<ListEvent> {
  if (size > MAX_JSON) throw new Error(`A JSON file can be ${MAX_JSON / 1024 / 1024} MB at most. Save it as CSV, or in parts.`)
  const text = iconv.decode(readFileSync(file), encoding)
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch (whole) {
    try {
      value = text.split(/\r?\n/u).filter(line => line.trim()).map(line => JSON.parse(line) as unknown)
    } catch {
      throw new Error(`The file looks like JSON but cannot be read: ${(whole as Error).message}`, { cause: whole })
    }
  }
  const table = jsonRows(value)
  if (!table) throw new Error('The JSON file holds no list of phrases.')
  const columns = columnsFor(table.headers, table.rows.slice(0, SAMPLE), given)
  yield columns.event
  if (!columns.map) return
  const gathered = new Gathered(table.rows.length)
  for (let i = 0; i < table.rows.length; i++) {
    gathered.take(table.rows[i]!, i + 1, columns.map)
    if (gathered.full) yield* gathered.batches(i / table.rows.length)
  }
  yield* gathered.batches(1)
}

/** Rows read and not yet handed on, and lines refused. */
class Gathered {
  private readonly window: ListWindow
  private refused: { line: number, reason: string }[] = []
  /** What of the list was handed on before. */
  private part = 0

  /** @param rows about the most there are: a short list needs little room. */
  constructor(rows: number) { this.window = new ListWindow(Math.min(WINDOW, Math.ceil(rows) + 1)) }

  take(cells: readonly string[], line: number, map: ColumnMap): void {
    const row = readListRow(cells, map)
    if ('reason' in row) this.refuse(line, row.reason)
    else this.window.add(row)
  }

  refuse(line: number, reason: string): void { this.refused.push({ line, reason }) }

  /** Whether there is enough to be handed on. */
  get full(): boolean { return this.window.full || this.refused.length >= REFUSED }

  /** @param to what of the list has been read by now, 0 to 1. */
  * batches(to: number): Generator<ListEvent> {
    if (this.refused.length) yield { kind: 'refused', lines: this.refused }
    this.refused = []
    const of = Math.ceil(this.window.size / BATCH)
    let n = 0
    for (const batch of this.window.batches(BATCH)) yield { kind: 'batch', batch, part: ++n === of ? to : this.part + (to - this.part) * n / of }
    this.part = to
  }
}

function columnsFor(headers: string[], sample: string[][], given: ColumnMap | null): { map: ColumnMap | null, event: ListEvent, headless: boolean } {
  const recognised = recogniseColumns(headers)
  // One column without a known header is a bare list of phrases.
  const bare = !recognised && headers.length === 1
  const map = given ?? recognised ?? (bare ? { phrase: 0 } : null)
  return map
    ? { map, headless: bare, event: { kind: 'columns', headers, map } }
    : { map: null, headless: false, event: { kind: 'unknown-columns', headers, sample } }
}

async function* readDelimited(file: string, encoding: string, beginning: string, given: ColumnMap | null): AsyncGenerator<ListEvent> {
  const firstLine = beginning.split(/\r?\n|\r/u).find(line => line.trim()) ?? ''
  let columns: ReturnType<typeof columnsFor> | null = null
  let headers: string[] | null = null
  const sample: string[][] = []
  const { size } = statSync(file)
  // A line has two bytes at least.
  const gathered = new Gathered(size / 2)
  let read = 0
  reading: for await (const lines of delimitedLines(file, encoding, delimiterOf(firstLine), (bytes) => { read = bytes / size })) for (const { line, cells } of lines) {
    if (cells === null) { gathered.refuse(line, UNREADABLE); continue }
    if (cells.length === 1 && cells[0] === '') continue
    if (columns) {
      gathered.take(cells, line, columns.map!)
      if (gathered.full) yield* gathered.batches(read)
    } else if (headers) {
      sample.push(cells)
      if (sample.length === SAMPLE) break reading
    } else {
      headers = cells
      const early = columnsFor(headers, [], given)
      if (!early.map) continue
      columns = early
      yield early.event
      if (early.headless) gathered.take(cells, line, early.map)
    }
  }
  if (!headers) throw new Error('The file holds no line that can be read.')
  if (columns) yield* gathered.batches(1)
  else yield columnsFor(headers, sample, given).event
}
