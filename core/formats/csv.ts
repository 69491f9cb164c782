/**
 * Begins with a sign a spreadsheet would take for a formula, full-width ones too, or with white space that it drops
 * before one.
 */
const FORMULA = /^[=+\-@＝＋－＠\t\r\n]/u

/**
 * One cell of a CSV file (RFC 4180). A text that a spreadsheet would run as a formula gets an
 * apostrophe before it; numbers are left as they are.
 */
export function csvCell(value: string | number | null): string {
  if (value === null) return ''
  if (typeof value === 'number') return String(value)
  const safe = FORMULA.test(value) ? `'${value}` : value
  return /[",\n\r]/u.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe
}

/** What a CSV file begins with: a byte order mark, so that spreadsheets read it as UTF-8. */
export const CSV_MARK = '\ufeff'

/** One line of a CSV file with its CRLF. */
export const csvLine = (cells: readonly (string | number | null)[]): string => `${cells.map(csvCell).join(',')}\r\n`

/** A CSV file with CRLF line ends and a byte order mark, so that spreadsheets read it as UTF-8. */
export function csvFile(headers: readonly string[], rows: Iterable<readonly (string | number | null)[]>): string {
  const lines = [csvLine(headers)]
  for (const row of rows) lines.push(csvLine(row))
  return CSV_MARK + lines.join('')
}
