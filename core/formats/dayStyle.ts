import { calendarDay, DayOrders, type DayOrder } from './calendarDay'
import { looseNumber } from './number'
import { plainHeader } from './plainHeader'

/** Column index for each meaning of a table with a line for each day. */
export type DayColumns = Partial<Record<string, number>>

/** How a file writes what can be written in several ways. */
export interface DayStyle {
  order: DayOrder
  /** Decimal mark; `null` where the file leaves it open, and one mark before three digits parts thousands. */
  decimal: '.' | ',' | null
  /** Whether a click rate of 4 is 4 %, or 400 %. */
  percent: boolean
  /** The zone whose days count, where a table tells times with their offset. */
  zone: string
}

/** What stands in the place of a day in a line that adds up the others, alone or with more behind it. */
const TOTALS = [
  'total',
  'totals',
  'grand total',
  'sum',
  'summe',
  'gesamt',
  'gesamtsumme',
  'gesamtergebnis',
  'insgesamt',
  'suma',
  'totale',
  'totaal',
  'toplam',
  'razem',
  'итого',
  'всего',
  '合計',
  '합계',
  '总计',
  '總計',
]
function isTotal(cell: string): boolean {
  const plain = plainHeader(cell)
  return TOTALS.some(word => plain === word || plain.startsWith(`${word} `))
}

/** Whether a line adds up others, or is empty: there is no day in it. */
export function isTotalLine(cells: readonly string[], map: DayColumns): boolean {
  const day = (cells[map.day!] ?? '').trim()
  if (day) return isTotal(day)
  return (
    isTotal(cells[0] ?? '') ||
    (map.video !== undefined && isTotal(cells[map.video] ?? '')) ||
    cells.every(cell => !cell.trim())
  )
}

/** Gathers how a file writes days, decimals and rates, from all of its lines. */
export class DayEvidence {
  private readonly orders: DayOrders
  private point = false
  private comma = false
  private percent = false
  private largestRate = 0

  /** @param numbers the columns of numbers. @param today days since 1970: no figures come from later. */
  constructor(
    private readonly map: DayColumns,
    private readonly numbers: readonly string[],
    headers: readonly string[],
    today: number,
    private readonly zone: string,
  ) {
    this.orders = new DayOrders(today + 1)
    this.percent = map.clickRate !== undefined && (headers[map.clickRate] ?? '').includes('%')
  }

  add(cells: readonly string[]): void {
    if (isTotalLine(cells, this.map)) return
    this.orders.add(cells[this.map.day!] ?? '', this.zone)
    for (const column of this.numbers) {
      const cell = this.map[column] === undefined ? '' : (cells[this.map[column]] ?? '').trim()
      if (!cell) continue
      // One mark before other than three digits is no thousands mark; of two, the last parts decimals.
      const found = /([.,])\d*\s?%?$/u.exec(cell)
      const marks = cell.replace(/[^.,]/gu, '')
      const decimal = found && (new Set(marks).size === 2 || (marks.length === 1 && !/[.,]\d{3}\s?%?$/u.test(cell)))
      if (decimal) this[found[1] === '.' ? 'point' : 'comma'] = true
      if (column !== 'clickRate') continue
      if (cell.includes('%')) this.percent = true
      const rate = rateIn(cell.replace('%', ''))
      if (rate !== null && rate > this.largestRate) this.largestRate = rate
    }
  }

  /** @returns the style; with `order: null` where it must be asked which comes first, day or month. */
  style(): Omit<DayStyle, 'order'> & { order: DayOrder | null; example: string } {
    return {
      order: this.orders.order(),
      example: this.orders.example,
      decimal: this.point === this.comma ? null : this.point ? '.' : ',',
      percent: this.percent || this.largestRate > 1,
      zone: this.zone,
    }
  }
}
/** A rate is never in thousands: its mark is a decimal one. */
export function rateIn(cell: string): number | null {
  const text = cell.trim()
  return /^\d{1,3}(?:[.,]\d+)?$/u.test(text) ? Number(text.replace(',', '.')) : null
}

/**
 * A number by the decimal mark of its file.
 * @returns `null` for an empty cell; `NaN` for anything else that is not a number.
 */
export function numberIn(cell: string, decimal: DayStyle['decimal']): number | null {
  if (decimal === null || !/^[+-]?[\d.,'’\u00a0\u202f _]+$/u.test(cell.trim())) return looseNumber(cell)
  const other = decimal === '.' ? ',' : '.'
  const plain = cell.trim().replace(/['’\u00a0\u202f _]/gu, '')
  if (
    plain.split(decimal).length > 2 ||
    (plain.indexOf(decimal) !== -1 && plain.lastIndexOf(other) > plain.indexOf(decimal))
  )
    return looseNumber(cell)
  return Number(plain.replaceAll(other, '').replace(decimal, '.'))
}

/** `4:05`, `1:04:05`, or seconds. @returns `null` for an empty cell; `NaN` for what is neither. */
export function durationIn(cell: string, decimal: DayStyle['decimal']): number | null {
  const parts = /^(?:(\d{1,3}):)?(\d{1,3}):(\d\d)(?:[.,]\d+)?$/u.exec(cell.trim())
  if (!parts) return numberIn(cell, decimal)
  return Number(parts[1] ?? 0) * 3600 + Number(parts[2]) * 60 + Number(parts[3])
}

/** The day a cell tells, in days since 1970, or why it tells none. */
export function dayIn(cell: string, { order, zone }: DayStyle): number | { reason: string } {
  const given = cell.trim()
  const found = calendarDay(given, zone)
  const day = found === null || typeof found === 'number' ? found : found[order === 'mdy' ? 'mdy' : 'dmy']
  return day ?? { reason: given ? `“${given.slice(0, 30)}” is not a day.` : 'There is no day in this line.' }
}
