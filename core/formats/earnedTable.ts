import { dayIn, numberIn, type DayStyle } from './dayStyle'
import {
  COLUMN_OF,
  EARNED_KINDS,
  earnedKindOf,
  type EarnedColumn,
  type EarnedColumnMap,
  type EarnedKind,
} from './earnedColumns'

/** What a line of a table tells that a video brought on a day. */
export interface EarnedRow {
  /** As the table names it: an id or a title; '' where it has no such column. */
  video: string
  /** The address that was followed; '' where it has no such column. */
  link: string
  /** Days since 1970. */
  day: number
  told: { kind: EarnedKind; count: number; value: number | null }[]
}

/** The columns of numbers. */
export const EARNED_NUMBERS = [
  'count',
  'clicks',
  'calls',
  'coupons',
  'orders',
  'value',
] as const satisfies EarnedColumn[]

/** More than anyone has in a day. */
const MOST = 1e9
/** An amount of money: digits and their marks, a sign or code of a currency before or behind them. */
const MONEY = /^(\p{Sc}|[A-Za-z]{2,3}\p{Sc}?)?\s?(-?\d[\d.,'’\u00a0\u202f ]*?)\s?(\p{Sc}|[A-Z]{3})?$/u

/** How a currency is written: its code, and its sign. */
function signsOf(currency: string): string[] {
  const parts = new Intl.NumberFormat('en', { style: 'currency', currency, currencyDisplay: 'narrowSymbol' })
  return [
    currency,
    ...parts
      .formatToParts(1)
      .filter(({ type }) => type === 'currency')
      .map(({ value }) => value),
  ]
}

/** An amount of money in the currency of all. @returns `null` for an empty cell, or why it cannot be read. */
function moneyIn(cell: string, style: DayStyle, currency: string): number | null | { reason: string } {
  const text = cell.trim()
  const shown = `“${text.slice(0, 30)}”`
  const found = MONEY.exec(text)
  if (!found) return numberIn(text, style.decimal) === null ? null : { reason: `${shown} is not an amount.` }
  const sign = found[1] ?? found[3]
  if (sign && !signsOf(currency).includes(sign)) return { reason: `${shown} is not in ${currency}.` }
  const value = numberIn(found[2]!, style.decimal)
  return value === null || (value >= 0 && value < MOST) ? value : { reason: `${shown} is not an amount.` }
}

/** One line of a table of earnings, or why it cannot be read. @param currency a code such as `GBP`. */
export function earnedRow(
  cells: readonly string[],
  map: EarnedColumnMap,
  style: DayStyle,
  currency: string,
): EarnedRow | { reason: string } {
  const cell = (column: EarnedColumn) => (map[column] === undefined ? '' : (cells[map[column]] ?? '').trim())
  const day = dayIn(cell('day'), style)
  if (typeof day !== 'number') return day
  const value = moneyIn(cell('value'), style, currency)
  if (value !== null && typeof value !== 'number') return value
  const told: EarnedRow['told'] = []
  const count = (column: EarnedColumn, kind: EarnedKind) => {
    const n = numberIn(cell(column), style.decimal)
    if (n === null) return null
    if (!Number.isInteger(n) || n < 0 || n >= MOST)
      return { reason: `“${cell(column).slice(0, 30)}” is not a whole number.` }
    told.push({ kind, count: n, value: null })
    return null
  }
  if (cell('kind') || (map.kind !== undefined && map.count !== undefined)) {
    const kind = earnedKindOf(cell('kind'))
    if (!kind) return { reason: `“${cell('kind').slice(0, 30)}” is no click, call, coupon or order.` }
    const fault = count('count', kind)
    if (fault) return fault
  }
  for (const kind of EARNED_KINDS) {
    const fault = count(COLUMN_OF[kind], kind)
    if (fault) return fault
  }
  if (!told.length) return { reason: 'This line counts nothing.' }
  // Of several kinds it is orders that are paid.
  const paid = told.length === 1 ? told[0]! : told.find(({ kind }) => kind === 'order')
  if (value !== null && paid) paid.value = value
  return { video: cell('video').normalize('NFC'), link: cell('link').slice(0, 2000), day, told }
}
