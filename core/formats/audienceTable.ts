import Papa from 'papaparse'
import { weekHourInWords, WEEK_HOURS, weekdayName } from '../release/audience'
import { counted, listed } from '../text/inWords'
import { DAY } from '../time'
import { FileFault } from './jsonFile'
import { looseNumber } from './number'

/** Languages in which weekdays are understood. */
const LANGUAGES = ['en', 'de', 'es', 'fr', 'pt', 'it', 'nl', 'sv', 'pl', 'tr', 'ru', 'ja', 'ko', 'zh']
/** A Monday. */
const MONDAY = Date.UTC(2024, 0, 1)

/** A week has 168 hours: longer and wider tables are others, and are not read to their end. */
const [MOST_LINES, MOST_COLUMNS] = [1000, 60]
/** More faults than these are counted. */
const FAULTS_TOLD = 5

const plain = (text: string) =>
  text
    .normalize('NFKC')
    .toLowerCase()
    .replace(/[^\p{L}\p{M}\d]/gu, '')

/** Weekdays by their names, long and short; a name that stands for two of them in two languages is left out. */
const WEEKDAYS: ReadonlyMap<string, number> = (() => {
  const found = new Map<string, number>()
  const unclear = new Set<string>()
  for (const language of LANGUAGES)
    for (const weekday of ['long', 'short'] as const) {
      const names = new Intl.DateTimeFormat(language, { weekday, timeZone: 'UTC' })
      for (let day = 0; day < 7; day++) {
        const name = plain(names.format(MONDAY + day * DAY))
        if (found.has(name) && found.get(name) !== day) unclear.add(name)
        found.set(name, day)
      }
    }
  for (const name of unclear) found.delete(name)
  return found
})()

/** `Thursday`, `Thu`, `Do`, `jeudi`. @returns 0 for Monday; `null` for anything else. */
const weekdayOf = (cell: string): number | null => WEEKDAYS.get(plain(cell)) ?? null

/** `18`, `18:00`, `18–19`, `18h`, `6 PM`. @returns 0 to 23; `null` for anything else. */
function hourOf(cell: string): number | null {
  const found = /^(\d{1,2})(?:[:.]00)?(?:\s*[-–]\s*\d{1,2}(?:[:.]\d\d)?)?\s*(am|pm|h|uhr)?$/iu.exec(cell.trim())
  if (!found) return null
  const hour = Number(found[1])
  const half = found[2]?.toLowerCase()
  if (half !== 'am' && half !== 'pm') return hour < 24 ? hour : null
  return hour >= 1 && hour <= 12 ? (hour % 12) + (half === 'pm' ? 12 : 0) : null
}

interface Cell {
  line: number
  day: number
  hour: number
  text: string
}

/** A table with a weekday and an hour in each line. */
function byLines(rows: readonly string[][], faults: string[]): Cell[] {
  const header = rows[0]!.map(plain)
  const at = (...names: string[]) => header.findIndex(name => names.includes(name))
  const named = {
    day: at('weekday', 'day', 'wochentag', 'tag', 'dia', 'jour'),
    hour: at('hour', 'stunde', 'hora', 'heure'),
  }
  const isNamed = named.day >= 0 && named.hour >= 0
  const day = isNamed ? named.day : 0
  const hour = isNamed ? named.hour : 1
  const value = [0, 1, 2].find(column => column !== day && column !== hour)!
  const lines = rows.slice(isNamed ? 1 : 0)
  // Where days are numbers, Sunday is 0 or 7: a week has one of the two.
  const numbers = lines.map(cells => (cells[day] ?? '').trim())
  const fromSunday = numbers.includes('0')
  return lines.flatMap((cells, i): Cell[] => {
    const line = i + (isNamed ? 2 : 1)
    const given = (cells[day] ?? '').trim()
    const weekday = /^[0-7]$/u.test(given)
      ? fromSunday
        ? (Number(given) + 6) % 7
        : Number(given) - 1
      : weekdayOf(given)
    const of = hourOf(cells[hour] ?? '')
    if (weekday === null) faults.push(`Line ${line}: “${given.slice(0, 20)}” is not a day of the week.`)
    else if (of === null)
      faults.push(`Line ${line}: “${(cells[hour] ?? '').slice(0, 20)}” is not an hour from 0 to 23.`)
    return weekday === null || of === null ? [] : [{ line, day: weekday, hour: of, text: cells[value] ?? '' }]
  })
}

/** A table with the weekdays across and the hours down, or the other way round; `null` where it is neither. */
function byTable(rows: readonly string[][]): Cell[] | null {
  const [header, ...lines] = rows as [string[], ...string[][]]
  const across = header.slice(1)
  for (const [top, side] of [
    [weekdayOf, hourOf],
    [hourOf, weekdayOf],
  ] as const) {
    const tops = across.map(top)
    if (tops.length < 7 || tops.includes(null)) continue
    return lines.flatMap((cells, i): Cell[] => {
      const down = side(cells[0] ?? '')
      if (down === null) return []
      return tops.map((over, k) => ({
        line: i + 2,
        day: top === weekdayOf ? over! : down,
        hour: top === weekdayOf ? down : over!,
        text: cells[k + 1] ?? '',
      }))
    })
  }
  return null
}

/**
 * When viewers are there, as a table tells it: a line for each hour of the week with weekday, hour and a figure, or a
 * table of weekdays by hours. Separators, decimals and names of weekdays are recognised.
 *
 * @returns 168 figures of the table's own unit, Monday 0:00 first.
 * @throws FileFault that names what cannot be read, and the hours that are missing.
 */
export function readAudience(text: string): number[] {
  const plainText = text
    .replace(/^\ufeff/u, '')
    .replace(/\r\n?/gu, '\n')
    .trim()
  const rows = Papa.parse<string[]>(plainText, { skipEmptyLines: 'greedy', preview: MOST_LINES }).data
  if (!rows.length) throw new FileFault(['The table is empty.'])
  if (rows.some(cells => cells.length > MOST_COLUMNS))
    throw new FileFault([`This table has more than ${MOST_COLUMNS} columns. Give weekday, hour and viewers.`])
  const faults: string[] = []
  const cells = byTable(rows) ?? byLines(rows, faults)
  const hours = new Array<number | null>(WEEK_HOURS).fill(null)
  for (const { line, day, hour, text: given } of cells) {
    const at = day * 24 + hour
    const value = looseNumber(given)
    if (value === null) continue
    if (!(value >= 0)) faults.push(`Line ${line}: “${given.slice(0, 20)}” is not a number.`)
    else if (hours[at] !== null) faults.push(`Line ${line}: ${weekHourInWords(at)} appears twice.`)
    else hours[at] = value
  }
  if (!faults.length && !cells.length)
    faults.push('No days and hours found. Give a line for each hour of the week: weekday, hour, viewers.')
  const missing = hours.flatMap((value, hour) => (value === null ? [hour] : []))
  if (!faults.length && missing.length) {
    const days = listed([...new Set(missing.map(hour => Math.floor(hour / 24)))].map(weekdayName))
    const are = missing.length === 1 ? 'is' : 'are'
    faults.push(
      `${counted(missing.length, 'hour')} of the week ${are} missing, on ${days}: ${weekHourInWords(missing[0]!)} first. ` +
        'Write 0 for an hour without viewers.',
    )
  }
  if (!faults.length && hours.every(value => value === 0)) faults.push('Every hour is 0. At least one needs viewers.')
  if (faults.length)
    throw new FileFault([
      ...faults.slice(0, FAULTS_TOLD),
      ...(faults.length > FAULTS_TOLD ? [`And ${counted(faults.length - FAULTS_TOLD, 'more line')}.`] : []),
    ])
  return hours as number[]
}
