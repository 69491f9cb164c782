import { DateTime } from 'luxon'
import { DAY } from '../time'

/** Which comes first where a day is written in figures alone. */
export const DAY_ORDERS = ['ymd', 'dmy', 'mdy'] as const
export type DayOrder = (typeof DAY_ORDERS)[number]

/** Languages in which months are understood. */
const LANGUAGES = ['en', 'de', 'es', 'fr', 'pt', 'it', 'nl', 'sv', 'pl', 'tr', 'ru', 'da', 'nb', 'fi', 'cs']

const plain = (text: string) =>
  text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}]/gu, '')

/** Months by their names, long and short; a name that stands for two of them in two languages is left out. */
const MONTHS: ReadonlyMap<string, number> = (() => {
  const found = new Map<string, number>()
  const unclear = new Set<string>()
  const add = (name: string, month: number) => {
    const key = plain(name)
    if (!key) return
    if (found.has(key) && found.get(key) !== month) unclear.add(key)
    found.set(key, month)
  }
  for (const language of LANGUAGES)
    for (const month of ['long', 'short'] as const) {
      const alone = new Intl.DateTimeFormat(language, { month, timeZone: 'UTC' })
      // Some languages bend the name beside a day.
      const beside = new Intl.DateTimeFormat(language, { month, day: 'numeric', timeZone: 'UTC' })
      for (let i = 0; i < 12; i++) {
        const at = Date.UTC(2024, i, 15)
        add(alone.format(at), i + 1)
        for (const part of beside.formatToParts(at)) if (part.type === 'month') add(part.value, i + 1)
      }
    }
  for (const name of unclear) found.delete(name)
  return found
})()

/** What spreadsheets count days from. */
const SHEET_START = Date.UTC(1899, 11, 30)

/** Days since 1970; `null` where the calendar has no such day. */
function dayOf(year: number, month: number, day: number): number | null {
  const found = DateTime.utc(year < 100 ? 2000 + year : year, month, day)
  return found.isValid && found.year >= 2000 && found.year < 2100 ? Math.floor(found.toMillis() / DAY) : null
}

/** A day of two possible orders. */
export interface UnclearDay {
  dmy: number | null
  mdy: number | null
}

/**
 * Reads a day as tables hold it: `2026-03-14`, `14.03.2026`, `3/14/26`, `14 Mar 2026`, `14 mars 2026`, `Mar 14, 2026`,
 * `20260314`, a time with its offset, or the number of a day in a spreadsheet.
 *
 * @param zone whose day a time with an offset falls on.
 * @returns days since 1970; both readings where only the order of the file can tell; `null` for anything else.
 */
export function calendarDay(cell: string, zone = 'utc'): number | UnclearDay | null {
  const text = cell.trim()
  if (/^\d{4}-\d\d-\d\d[T ]\d\d:\d\d(?::\d\d(?:\.\d{1,9})?)?\s?(?:Z|[+-]\d\d:?\d\d)$/u.test(text)) {
    const at = DateTime.fromISO(text.replace(' ', 'T').replace(/\s/gu, ''), { setZone: true }).setZone(zone)
    return at.isValid ? dayOf(at.year, at.month, at.day) : null
  }
  // The hour of a day does not change which it is; a weekday before it says nothing more.
  const day = text
    .replace(/[T ]\d{1,2}:\d\d(?::\d\d)?(?:\.\d+)?(?:\s?[ap]m)?$/iu, '')
    .replace(/^\p{L}{2,10}\.?,\s*/u, found => (MONTHS.has(plain(found)) ? found : ''))
    .trim()
  const sheet = /^[345]\d{4}$/u.exec(day)
  if (sheet) return Math.floor((SHEET_START + Number(day) * DAY) / DAY)
  const joined = /^(20\d\d)(\d\d)(\d\d)$/u.exec(day)
  if (joined) return dayOf(Number(joined[1]), Number(joined[2]), Number(joined[3]))
  const first = /^(\d{4})[-./年](\d{1,2})[-./月](\d{1,2})日?\.?$/u.exec(day)
  if (first) return dayOf(Number(first[1]), Number(first[2]), Number(first[3]))
  const last = /^(\d{1,2})\s?[-./]\s?(\d{1,2})\s?[-./]\s?(\d{4}|\d\d)\.?$/u.exec(day)
  if (last) {
    const [a, b, year] = [Number(last[1]), Number(last[2]), Number(last[3])]
    const both = { dmy: dayOf(year, b, a), mdy: dayOf(year, a, b) }
    if (both.dmy === both.mdy) return both.dmy
    return both.dmy === null || both.mdy === null ? (both.dmy ?? both.mdy) : both
  }
  return named(day)
}

/** A day whose month has a name. */
function named(text: string): number | null {
  const parts = text.split(/[\s,./-]+/u).filter(part => part && !/^(?:de|of|del)$/iu.test(part))
  if (parts.length !== 3) return null
  const at = parts.findIndex(part => MONTHS.has(plain(part)) && !/\d/u.test(part))
  if (at < 0) return null
  const [a, b] = parts.filter((_, i) => i !== at).map(part => part.replace(/(?:st|nd|rd|th|er|º|\.)$/iu, ''))
  if (!/^\d{1,4}$/u.test(a!) || !/^\d{1,4}$/u.test(b!)) return null
  const isYearFirst = a!.length === 4
  return dayOf(Number(isYearFirst ? a : b), MONTHS.get(plain(parts[at]!))!, Number(isYearFirst ? b : a))
}

/** Days of a file are near to each other: the order in which they are spread over less than half as much is meant. */
const CLOSER = 2
/** Fewer different days say nothing. */
const LEAST = 3

/**
 * Gathers days in two possible orders, to tell which is meant: one whose days are all there, none of them in the
 * future, and much nearer to each other.
 */
export class DayOrders {
  private readonly from = { dmy: Infinity, mdy: Infinity }
  private readonly to = { dmy: -Infinity, mdy: -Infinity }
  private readonly seen = new Set<number>()
  private readonly out = { dmy: false, mdy: false }
  /** One that was not clear, for the question. */
  example = ''

  /** @param latest the last day that can be. */
  constructor(private readonly latest: number) {}

  add(cell: string, zone = 'utc'): void {
    const found = calendarDay(cell, zone)
    if (found === null) return
    if (typeof found === 'number') return this.addClear(cell, found)
    this.example ||= cell.trim()
    this.seen.add(found.dmy!)
    for (const order of ['dmy', 'mdy'] as const) {
      const day = found[order]!
      if (day > this.latest) this.out[order] = true
      this.from[order] = Math.min(this.from[order], day)
      this.to[order] = Math.max(this.to[order], day)
    }
  }

  /** One that has but one reading tells the order of the others, when it is written like them. */
  private addClear(cell: string, day: number): void {
    const parts = /^\s*(\d{1,2})\s?[-./]\s?(\d{1,2})\s?[-./]/u.exec(cell)
    if (!parts) return
    if (Number(parts[1]) > 12) this.out.mdy = true
    else if (Number(parts[2]) > 12) this.out.dmy = true
    else if (day > this.latest) this.out.dmy = this.out.mdy = true
  }

  /** @returns `null` where both can be meant. */
  order(): DayOrder | null {
    if (!this.example) return 'ymd'
    if (this.out.dmy !== this.out.mdy) return this.out.dmy ? 'mdy' : 'dmy'
    if (this.out.dmy || this.seen.size < LEAST) return null
    const span = (order: 'dmy' | 'mdy') => this.to[order] - this.from[order]
    if (span('dmy') * CLOSER < span('mdy')) return 'dmy'
    return span('mdy') * CLOSER < span('dmy') ? 'mdy' : null
  }
}
