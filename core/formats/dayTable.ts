import { calendarDay, DayOrders, type DayOrder } from './calendarDay'
import { DAY_COLUMNS, viewSourceOf, type DayColumn, type DayColumnMap } from './dayColumns'
import { looseNumber } from './number'
import { plainHeader } from './plainHeader'

/** Figures of a video on a day. What a table does not tell is `null`, never 0. */
export interface DayRow {
  /** As the table names it: an id or a title; '' where it has no such column. */
  video: string
  /** Days since 1970. */
  day: number
  impressions: number | null
  clicks: number | null
  views: number | null
  watchedSeconds: number | null
  /** Views by where they came from. */
  search: number | null
  suggested: number | null
  subscribers: number | null
  web: number | null
  elsewhere: number | null
  /** The site the views of this line came from; '' for all of them. */
  referrer: string
}

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
export function isTotalLine(cells: readonly string[], map: DayColumnMap): boolean {
  const day = (cells[map.day!] ?? '').trim()
  if (day) return isTotal(day)
  return (
    isTotal(cells[0] ?? '') ||
    (map.video !== undefined && isTotal(cells[map.video] ?? '')) ||
    cells.every(cell => !cell.trim())
  )
}

const NUMBERS = DAY_COLUMNS.filter(column => !['day', 'video', 'source', 'referrer', 'averageView'].includes(column))

/** Gathers how a file writes days, decimals and rates, from all of its lines. */
export class DayEvidence {
  private readonly orders: DayOrders
  private point = false
  private comma = false
  private percent = false
  private largestRate = 0

  /** @param today days since 1970: no figures come from later. */
  constructor(
    private readonly map: DayColumnMap,
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
    for (const column of NUMBERS) {
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
function rateIn(cell: string): number | null {
  const text = cell.trim()
  return /^\d{1,3}(?:[.,]\d+)?$/u.test(text) ? Number(text.replace(',', '.')) : null
}

/**
 * A number by the decimal mark of its file.
 * @returns `null` for an empty cell; `NaN` for anything else that is not a number.
 */
function numberIn(cell: string, decimal: DayStyle['decimal']): number | null {
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
function durationIn(cell: string, decimal: DayStyle['decimal']): number | null {
  const parts = /^(?:(\d{1,3}):)?(\d{1,3}):(\d\d)(?:[.,]\d+)?$/u.exec(cell.trim())
  if (!parts) return numberIn(cell, decimal)
  return Number(parts[1] ?? 0) * 3600 + Number(parts[2]) * 60 + Number(parts[3])
}

/** More than anyone has in a day. */
const MOST = 1e12

/** One line of a table of day figures, or why it cannot be read. */
export function dayRow(cells: readonly string[], map: DayColumnMap, style: DayStyle): DayRow | { reason: string } {
  const cell = (column: DayColumn) => (map[column] === undefined ? '' : (cells[map[column]] ?? ''))
  const given = cell('day').trim()
  const found = calendarDay(given, style.zone)
  const day = found === null || typeof found === 'number' ? found : found[style.order === 'mdy' ? 'mdy' : 'dmy']
  if (day === null) return { reason: given ? `“${given.slice(0, 30)}” is not a day.` : 'There is no day in this line.' }
  const faults: string[] = []
  const number = (column: DayColumn, read = numberIn): number | null => {
    const value = read(cell(column), style.decimal)
    if (value === null || (value >= 0 && value < MOST)) return value
    faults.push(`“${cell(column).trim().slice(0, 30)}” is not a number.`)
    return null
  }
  const whole = (column: DayColumn) => {
    const value = number(column)
    if (value === null || Number.isInteger(value)) return value
    faults.push(`“${cell(column).trim().slice(0, 30)}” is not a whole number.`)
    return null
  }
  const [impressions, views] = [whole('impressions'), whole('views')]
  let clicks = whole('clicks')
  const rateCell = cell('clickRate').replace('%', '').trim()
  if (clicks === null && rateCell) {
    const rate = looseNumber(rateCell) === null ? null : rateIn(rateCell)
    const part = rate === null ? null : style.percent ? rate / 100 : rate
    if (part === null ? looseNumber(rateCell) !== null : part > 1)
      faults.push(`“${cell('clickRate').trim().slice(0, 30)}” is not a click rate.`)
    else if (part !== null && impressions !== null) clicks = Math.round(impressions * part)
  }
  if (clicks !== null && impressions !== null && clicks > impressions)
    faults.push('There are more clicks than impressions.')
  const perView = number('averageView', durationIn)
  const watched =
    number('watchedSeconds', durationIn) ??
    times(number('watchedMinutes'), 60) ??
    times(number('watchedHours'), 3600) ??
    (perView === null ? null : times(views, perView))
  const row: DayRow = {
    video: cell('video').normalize('NFC').trim(),
    day,
    impressions,
    clicks,
    views,
    watchedSeconds: watched === null ? null : Math.round(watched),
    search: whole('search'),
    suggested: whole('suggested'),
    subscribers: whole('subscribers'),
    web: whole('web'),
    elsewhere: whole('elsewhere'),
    referrer: cell('referrer').trim().slice(0, 200),
  }
  if (cell('source').trim()) {
    const of = viewSourceOf(cell('source'))
    if (!of) faults.push(`“${cell('source').trim().slice(0, 30)}” is not a source of views that is known.`)
    // The views of one source are not those of the day, nor are its impressions.
    else Object.assign(row, { views: null, impressions: null, clicks: null, watchedSeconds: null, [of]: views })
  }
  return faults.length ? { reason: faults[0]! } : row
}
const times = (value: number | null, by: number) => (value === null ? null : value * by)
