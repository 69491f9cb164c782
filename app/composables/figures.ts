import { LEAST_SURE, SUREST } from '../../core/rivals/forecast'
import { isStale } from '../../core/demand/stale'
import { DAY } from '../../core/time'
import { counted } from '../../core/text/inWords'
import { now } from './clock'

export { counted } from '../../core/text/inWords'

const whole = new Intl.NumberFormat('en', { maximumFractionDigits: 0 })
const exact = new Intl.NumberFormat('en', { maximumFractionDigits: 2 })
const short = new Intl.NumberFormat('en', { notation: 'compact', maximumSignificantDigits: 3 })
const dates = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  hour: '2-digit',
  minute: '2-digit',
})
const days = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' })
const utcDays = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' })
const months = new Intl.DateTimeFormat('en-GB', { month: 'short', year: 'numeric', timeZone: 'UTC' })

/** What stands where a figure is unknown. */
export const UNKNOWN = '–'

/** A sentence whose percentages do not break before their sign. */
export const unbroken = (sentence: string) => sentence.replaceAll(' %', '\u00A0%')
/** A figure rounded for a table: 101K rather than 100,878. */
export const rounded = (value: number | null | undefined) =>
  value === null || value === undefined ? UNKNOWN : value < 10_000 ? whole.format(value) : short.format(value)
/** A ratio rounded alike, with a tenth below ten, where whole numbers would not part what differs. */
export const roundedRatio = (value: number) => (value > 0 && value < 10 ? value.toFixed(1) : rounded(Math.round(value)))
/** The same figure in full, for the tooltip. */
export const inFull = (value: number | null | undefined, unit = '') =>
  value === null || value === undefined ? 'unknown' : `${exact.format(value)}${unit ? ` ${unit}` : ''}`
/** A range of figures as they are shown; one figure where both ends show the same. */
export const span = (low: string, high: string, by = '–') => (low === high ? low : `${low}${by}${high}`)
/**
 * A range of estimates. Its low end is 0 where nothing is known beyond: then only the high end is shown. Never 0, since
 * an estimate of hardly anything is not nothing.
 * @param least the smallest figure that `shown` tells apart from 0.
 */
export function rangeText({ low, high }: { low: number; high: number }, shown: (value: number) => string, least = 1) {
  if (high < least) return `< ${shown(least)}`
  return low < least ? `up to ${shown(high)}` : span(shown(low), shown(high), ' to ')
}
/** Likely ranks; the last one of those reckoned with stands for all beyond. */
export function ranksText([first, end]: readonly [number, number], last: number): string {
  const rank = (k: number) => (k >= last ? `beyond ${last - 1}` : String(k))
  return span(rank(first), rank(end), end >= last ? ' to ' : '–')
}
/** A change as a signed percentage. */
export const percentChange = (value: number | null | undefined) =>
  value === null || value === undefined
    ? UNKNOWN
    : `${value > 0 ? '+' : value < 0 ? '−' : ''}${whole.format(Math.abs(value) * 100)} %`
/** A chance of page one: an estimate, and shown as no surer than that. */
export const chanceText = (chance: number) =>
  chance > SUREST
    ? `> ${whole.format(SUREST * 100)} %`
    : chance < LEAST_SURE
      ? `< ${whole.format(LEAST_SURE * 100)} %`
      : percent(chance)
/** A part of 1 as a whole percentage, never 0 or 100 unless it is. */
export const percent = (part: number) =>
  part > 0 && part < 0.01 ? '< 1 %' : part < 1 && part > 0.99 ? '> 99 %' : `${whole.format(part * 100)} %`
export const dateTime = (at: number) => dates.format(at)
/** A day: 5 Mar 2026. */
export const dateOnly = (at: number) => days.format(at)
/** A day of ranks or views, as counted since 1970: the same wherever it is looked at. */
export const dayOnly = (day: number) => utcDays.format(day * DAY)
/** The source of a figure, its date, and whether it is out of date; empty without a source. */
export const sourceText = (source: string | null, at: number | null) =>
  source === null
    ? ''
    : `, from ${source}${at === null ? '' : `, ${dateOnly(at)}${isStale(at, now()) ? ': out of date, load or import it again' : ''}`}`
/** A file's size: 340 KB, 12.4 MB. */
export const fileSize = (bytes: number) =>
  bytes < 1e6
    ? `${whole.format(Math.ceil(bytes / 1000))} KB`
    : bytes < 1e9
      ? `${(bytes / 1e6).toFixed(1)} MB`
      : `${(bytes / 1e9).toFixed(2)} GB`
/** An age in days, in words: 3 days, 5 months, 2 years. */
export const ageWords = (age: number) =>
  age < 60
    ? counted(Math.round(age), 'day')
    : age < 730
      ? `${Math.round(age / 30.4)} months`
      : `${(age / 365.25).toFixed(1)} years`
/** A length as m:ss or h:mm:ss. */
export function lengthWords(seconds: number | null): string {
  if (seconds === null) return UNKNOWN
  const [h, m, s] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60, Math.floor(seconds) % 60]
  return `${h ? `${h}:${String(m).padStart(2, '0')}` : m}:${String(s).padStart(2, '0')}`
}
/** The smallest amount of money that is shown, in micros: a hundredth. */
export const LEAST_MONEY = 10_000
/** Micros of a currency, rounded for people. */
export const money = (micros: number, currency: string) =>
  new Intl.NumberFormat('en-GB', {
    style: 'currency',
    currency,
    maximumFractionDigits: micros < 100_000_000 ? 2 : 0,
  }).format(micros / 1_000_000)
/** `2026-10` as Oct 2026. */
export const monthName = (month: string) => months.format(Date.parse(`${month}-01T00:00:00Z`))

/** How long ago, in words. */
export function ago(at: number, until = Date.now()): string {
  const minutes = Math.round((until - at) / 60_000)
  if (minutes < 1) return 'just now'
  if (minutes < 60) return `${minutes} min ago`
  if (minutes < 1440) return `${Math.round(minutes / 60)} h ago`
  return dates.format(at)
}

/** The tray mark of a phrase by its position: the lead is A, then B, C, … Z, AA. */
export function trayMark(position: number): string {
  let mark = ''
  for (let n = position; n >= 0; n = Math.floor(n / 26) - 1) mark = String.fromCharCode(65 + (n % 26)) + mark
  return mark
}

const regions = new Intl.DisplayNames(['en'], { type: 'region' })
/** A region's name; `null` is everywhere, and what is no code stays as it is. */
export const regionName = (code: string | null): string =>
  !code ? 'everywhere' : /^[a-z]{2}$/iu.test(code) ? (regions.of(code.toUpperCase()) ?? code) : code
