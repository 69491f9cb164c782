import Papa from 'papaparse'
import { textPieces, type FileText } from './fileText'
import { inDigits } from '../../core/text/inWords'

/** Longer than any honest line: bounds what a quotation mark that is never closed can swallow. */
const MAX_LINE = 100_000

/** A record of a delimited file and the line it begins in, or why its line cannot be read. */
export type DelimitedLine = { line: number; cells: string[] } | { line: number; cells: null; reason: string }

const UNCLOSED = 'A quotation mark in this line is not closed.'
const TOO_LONG = `This line is longer than ${inDigits(MAX_LINE)} characters.`

/** The delimiter that parts most of the first line. */
export function delimiterOf(line: string): string {
  const outside = line.replace(/"[^"]*"/gu, '')
  return ['\t', ';', ',', '|'].map(mark => ({ mark, n: outside.split(mark).length })).sort((a, b) => b.n - a.n)[0]!.mark
}

interface Parsed {
  data: string[][]
  errors: { code: string }[]
  meta: { cursor: number }
}
type Step = (row: Parsed) => void
const parserOf = (delimiter: string, more: { step?: Step; fastMode?: boolean } = {}) => {
  const parser = new Papa.Parser({ delimiter, newline: '\n', ...more } as Papa.ParseConfig)
  return (text: string, final: boolean) => parser.parse(text, 0, !final) as Parsed
}

/**
 * Cuts text into records as it comes. Quotation marks that are never closed cost their own lines, not those after them.
 */
class Records {
  private readonly parse: ReturnType<typeof parserOf>
  private readonly literally: ReturnType<typeof parserOf>
  private rest = ''
  private line = 1
  /** Within a line too long to be one. */
  private skipping = false

  constructor(private readonly delimiter: string) {
    this.parse = parserOf(delimiter)
    this.literally = parserOf(delimiter, { fastMode: true })
  }

  /** Takes more text, its lines ending in `\n`. @returns the records that are whole by now. */
  take(piece: string): DelimitedLine[] {
    if (this.skipping) {
      const end = piece.indexOf('\n') + 1
      if (!end) return []
      this.skipping = false
      this.line++
      piece = piece.slice(end)
    }
    const found = this.cut(this.rest + piece, false)
    if (this.rest.length <= MAX_LINE) return found
    const cut = this.rest.lastIndexOf('\n') + 1
    found.push(...this.singly(this.rest.slice(0, cut)))
    this.rest = this.rest.slice(cut)
    if (this.rest.length > MAX_LINE) {
      found.push({ line: this.line, cells: null, reason: TOO_LONG })
      this.rest = ''
      this.skipping = true
    }
    return found
  }

  /** What is left when no more text comes: a line without an end. */
  end(): DelimitedLine[] {
    return this.cut(this.rest, true)
  }

  private cut(text: string, final: boolean): DelimitedLine[] {
    const { data, errors, meta } = this.parse(text, final)
    if (errors.length) return this.carefully(text, final)
    this.rest = text.slice(meta.cursor)
    return data.map(cells => this.numbered(cells))
  }

  /** A record with its line; one whose cells hold line ends takes several. */
  private numbered(cells: string[]): DelimitedLine {
    const { line } = this
    this.line++
    for (const cell of cells) if (cell.includes('\n')) this.line += cell.split('\n').length - 1
    return { line, cells }
  }

  /** The same text record by record, so that those with stray quotation marks are known by where they stand. */
  private carefully(text: string, final: boolean): DelimitedLine[] {
    const found: DelimitedLine[] = []
    let end = 0
    const step: Step = ({ data, errors, meta }) => {
      if (!errors.length) found.push(this.numbered(data[0]!))
      else found.push(...this.singly(text.slice(end, meta.cursor)))
      end = meta.cursor
    }
    parserOf(this.delimiter, { step })(text, final)
    this.rest = text.slice(end)
    return found
  }

  /**
   * Text whose quotation marks make no sense, each of its lines by itself: an even number of them is taken as it
   * stands.
   */
  private singly(text: string): DelimitedLine[] {
    const lines = text.split('\n')
    if (lines.at(-1) === '') lines.pop()
    return lines.map(each => {
      const { data, errors } = this.parse(each, true)
      const open = errors.some(({ code }) => code === 'MissingQuotes')
      const line = this.line++
      if (!open) return { line, cells: data[0] ?? [''] }
      return each.split('"').length % 2 === 1
        ? { line, cells: this.literally(each, true).data[0]! }
        : { line, cells: null, reason: UNCLOSED }
    })
  }
}

/**
 * The records of a delimited file in blocks, with whatever line ends, quotation marks and numbers of cells it has.
 * @param told is told the part of the file read so far, before the records that end in it are given.
 * @param piece bytes read in one go.
 * @throws Error when the file cannot be read or decoded.
 */
export async function* delimitedLines(
  of: Pick<FileText, 'file' | 'size' | 'encoding'>,
  delimiter: string,
  progress?: (part: number) => void,
  piece?: number,
): AsyncGenerator<DelimitedLine[]> {
  const records = new Records(delimiter)
  /** A carriage return whose line feed may be in the next piece. */
  let held = ''
  for await (const decoded of textPieces(of, progress, piece)) {
    let text = held + decoded
    held = text.endsWith('\r') ? '\r' : ''
    if (held) text = text.slice(0, -1)
    if (text.includes('\r')) text = text.replace(/\r\n?/gu, '\n')
    const found = records.take(text)
    if (found.length) yield found
  }
  yield [...records.take(held && '\n'), ...records.end()]
}
