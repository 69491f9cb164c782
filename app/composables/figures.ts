const whole = new Intl.NumberFormat('en', { maximumFractionDigits: 0 })
const exact = new Intl.NumberFormat('en', { maximumFractionDigits: 2 })
const short = new Intl.NumberFormat('en', { notation: 'compact', maximumSignificantDigits: 3 })
const dates = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', hour: '2-digit', minute: '2-digit' })
const months = new Intl.DateTimeFormat('en-GB', { month: 'short', year: 'numeric', timeZone: 'UTC' })

/** `1 phrase`, `3 phrases`. */
export const counted = (n: number, one: string, many = `${one}s`) => `${whole.format(n)} ${n === 1 ? one : many}`

/** What stands where a figure is unknown. */
export const UNKNOWN = '–'

/** A figure rounded for a table: 101K rather than 100,878. */
export const rounded = (value: number | null | undefined) => value === null || value === undefined ? UNKNOWN : value < 10_000 ? whole.format(value) : short.format(value)
/** The same figure in full, for the tooltip. */
export const inFull = (value: number | null | undefined, unit = '') => value === null || value === undefined ? 'unknown' : `${exact.format(value)}${unit ? ` ${unit}` : ''}`
/** A change as a signed percentage. */
export const percentChange = (value: number | null | undefined) => value === null || value === undefined ? UNKNOWN : `${value > 0 ? '+' : value < 0 ? '−' : ''}${whole.format(Math.abs(value) * 100)} %`
export const dateTime = (at: number) => dates.format(at)
/** `2026-10` as Oct 2026. */
export const monthName = (month: string) => months.format(Date.parse(`${month}-01T00:00:00Z`))

/** How long ago, in words. */
export function ago(at: number, now = Date.now()): string {
  const minutes = Math.round((now - at) / 60_000)
  if (minutes < 1) return 'just now'
  if (minutes < 60) return `${minutes} min ago`
  if (minutes < 1440) return `${Math.round(minutes / 60)} h ago`
  return dates.format(at)
}

/** The tray mark of a phrase by its position: the lead is A, then B, C, … Z, AA. */
export function trayMark(position: number): string {
  let mark = ''
  for (let n = position; n >= 0; n = Math.floor(n / 26) - 1) mark = String.fromCharCode(65 + n % 26) + mark
  return mark
}
