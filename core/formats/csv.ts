import Papa from 'papaparse'

type Cell = string | number | null

/**
 * Begins with a sign a spreadsheet would take for a formula, full-width ones too, or with white space that it drops
 * before one. Such a text gets an apostrophe before it.
 */
const FORMULA = /^[=+\-@＝＋－＠\t\r\n]/u

/** What a CSV file begins with: a byte order mark, so that spreadsheets read it as UTF-8. */
export const CSV_MARK = '\ufeff'

/** Lines of a CSV file (RFC 4180), each with its CRLF. */
export const csvLines = (rows: readonly (readonly Cell[])[]): string =>
  rows.length ? `${Papa.unparse(rows as Cell[][], { newline: '\r\n', escapeFormulae: FORMULA })}\r\n` : ''

/** A CSV file with CRLF line ends and a byte order mark. */
export const csvFile = (headers: readonly string[], rows: readonly (readonly Cell[])[]): string =>
  CSV_MARK + csvLines([headers, ...rows])
