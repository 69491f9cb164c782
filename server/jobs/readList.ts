import { parse } from 'csv-parse'
import iconv from 'iconv-lite'
import { createReadStream, openSync, readFileSync, readSync, closeSync, statSync } from 'node:fs'
import { jsonRows, readListRow, recogniseColumns, type ColumnMap, type ListedPhrase } from '../../core/formats/phraseList'

/** What reading a list tells, in order: its columns, then batches, then the end. */
export type ListEvent =
  | { kind: 'columns', headers: string[], map: ColumnMap }
  | { kind: 'unknown-columns', headers: string[], sample: string[][] }
  | { kind: 'batch', phrases: ListedPhrase[], rejected: { line: number, reason: string }[] }

const BATCH = 1000
/** A JSON file is read whole; a larger list should come as CSV or JSON Lines. */
const MAX_JSON = 40 * 1024 * 1024
/** Longer than any honest line: bounds what an unclosed quote can swallow. */
const MAX_LINE = 100_000

function peek(file: string, bytes: number): Buffer {
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

/** The delimiter that parts most of the first line. */
export function delimiterOf(line: string): string {
  const outside = line.replace(/"[^"]*"/gu, '')
  return ['\t', ';', ',', '|'].map(mark => ({ mark, n: outside.split(mark).length })).sort((a, b) => b.n - a.n)[0]!.mark
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
  const columns = columnsFor(table.headers, table.rows.slice(0, 5), given)
  yield columns.event
  if (!columns.map) return
  let batch = new Batch()
  for (let i = 0; i < table.rows.length; i++) {
    batch.take(table.rows[i]!, i + 1, columns.map)
    if (batch.full) { yield batch.event; batch = new Batch() }
  }
  yield batch.event
}

class Batch {
  readonly event = { kind: 'batch' as const, phrases: [] as ListedPhrase[], rejected: [] as { line: number, reason: string }[] }

  take(cells: readonly string[], line: number, map: ColumnMap): void {
    const row = readListRow(cells, map)
    if ('reason' in row) this.event.rejected.push({ line, reason: row.reason })
    else this.event.phrases.push(row)
  }

  get full(): boolean { return this.event.phrases.length + this.event.rejected.length >= BATCH }
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
  const skipped: { line: number, reason: string }[] = []
  const parser = parse({
    delimiter: delimiterOf(firstLine), bom: true, relax_column_count: true, relax_quotes: true, skip_empty_lines: true, info: true,
    max_record_size: MAX_LINE, skip_records_with_error: true,
    on_skip: error => { if (error) skipped.push({ line: Number(error.lines ?? 0), reason: `The line cannot be read: ${error.code === 'CSV_MAX_RECORD_SIZE' || error.code === 'CSV_QUOTE_NOT_CLOSED' ? 'a quotation mark is never closed' : error.message}.` }) },
  })
  const bytes = createReadStream(file)
  const decoder = iconv.decodeStream(encoding)
  const fail = (error: Error) => parser.destroy(error)
  bytes.on('error', fail).pipe(decoder).on('error', fail).pipe(parser)
  let columns: ReturnType<typeof columnsFor> | null = null
  let headers: string[] = []
  const sample: string[][] = []
  let batch = new Batch()
  try {
    for await (const { record, info } of parser as AsyncIterable<{ record: string[], info: { lines: number } }>) {
      if (!columns) {
        if (!headers.length) {
          headers = record
          const early = columnsFor(headers, [], given)
          if (early.map) {
            columns = early
            yield early.event
            if (early.headless) batch.take(record, info.lines, early.map)
          }
          continue
        }
        sample.push(record)
        if (sample.length < 5) continue
        break
      }
      batch.take(record, info.lines, columns.map!)
      if (batch.full) { batch.event.rejected.push(...skipped.splice(0)); yield batch.event; batch = new Batch() }
    }
  } catch (error) {
    if ((error as { code?: string }).code !== 'CSV_QUOTE_NOT_CLOSED') throw error
    skipped.push({ line: Number((error as { lines?: number }).lines ?? 0), reason: 'The line cannot be read: a quotation mark is never closed.' })
  } finally {
    bytes.destroy()
  }
  if (!columns) {
    if (!headers.length) throw new Error('The file holds no line that can be read.')
    yield columnsFor(headers, sample, given).event
    return
  }
  batch.event.rejected.push(...skipped)
  yield batch.event
}
