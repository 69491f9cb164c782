import { DAY_COLUMNS, viewSourceOf, type DayColumn, type DayColumnMap } from './dayColumns'
import { dayIn, durationIn, numberIn, rateIn, type DayStyle } from './dayStyle'
import { looseNumber } from './number'

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

/** The columns of plain numbers. */
export const DAY_NUMBERS = DAY_COLUMNS.filter(
  column => !['day', 'video', 'source', 'referrer', 'averageView'].includes(column),
)

/** More than anyone has in a day. */
const MOST = 1e12

/** One line of a table of day figures, or why it cannot be read. */
export function dayRow(cells: readonly string[], map: DayColumnMap, style: DayStyle): DayRow | { reason: string } {
  const cell = (column: DayColumn) => (map[column] === undefined ? '' : (cells[map[column]] ?? ''))
  const day = dayIn(cell('day'), style)
  if (typeof day !== 'number') return day
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
