/** Begins with a sign a spreadsheet would take for a formula. */
const FORMULA = /^[=+\-@\t\r]/u

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

/** A CSV file with CRLF line ends and a byte order mark, so that spreadsheets read it as UTF-8. */
export function csvFile(headers: readonly string[], rows: Iterable<readonly (string | number | null)[]>): string {
  const lines = [headers.map(csvCell).join(',')]
  for (const row of rows) lines.push(row.map(csvCell).join(','))
  return `\ufeff${lines.join('\r\n')}\r\n`
}
