import { ascending, bisectLeft } from 'd3-array'
import Papa from 'papaparse'
import { plainHeader } from './plainHeader'

/** What a column of a table of retention can mean. */
export const RETENTION_COLUMNS = ['position', 'stays'] as const
export type RetentionColumn = (typeof RETENTION_COLUMNS)[number]
export type RetentionColumnMap = Partial<Record<RetentionColumn, number>>

/** How far a video is watched. */
export interface Retention {
  /** The part of viewers still there at each tenth of the video, its beginning and end among them: eleven values. */
  tenths: number[]
  /** Lines it was told from. */
  lines: number
}
export type RetentionRead =
  | Retention
  /** What is wrong, and in which line, counted from 1; `null` for the table as a whole. */
  | { problem: string; line: number | null }
  /** Which columns are meant is not to be told by the file. */
  | { headers: string[]; sample: string[][] }

/** Common spellings of headers, as `plainHeader` leaves them. */
const SPELLINGS: Record<RetentionColumn, readonly string[]> = {
  position: ['position', 'video position', 'elapsed', 'elapsed time', 'elapsed time ratio', 'time', 'zeit', 'tiempo'],
  stays: [
    ...['retention', 'audience retention', 'absolute audience retention', 'audience watch ratio', 'still watching'],
    ...['viewers', 'zuschauerbindung', 'retencion', 'retencion de audiencia', 'retention de l audience'],
  ],
}
const SECONDS = /\b(?:s|secs?|seconds|sekunden|segundos|secondes)\b/iu
/** A table that begins later or ends earlier says nothing of the video's ends. */
const REACH = 0.05
const LEAST_LINES = 5
/** More than a line for each second of a day. */
const MOST_LINES = 100_000
/** Some parts are watched more than once, but not more often than this. */
const MOST = 10
const TENTHS = Array.from({ length: 11 }, (_, i) => i / 10)

export function recogniseRetentionColumns(headers: readonly string[]): RetentionColumnMap | null {
  const plain = headers.map(plainHeader)
  const position = plain.findIndex(header => SPELLINGS.position.includes(header))
  const stays = plain.findIndex(header => SPELLINGS.stays.includes(header))
  return position < 0 || stays < 0 ? null : { position, stays }
}

/**
 * Reads how far a video is watched: a line for each position in it, as a part, in percent, in seconds or as `m:ss`,
 * with the part of viewers still there.
 * @param text CSV or TSV. @param columns those matched by hand; `null` for those that are recognised.
 * @param seconds how long the video is; `null` where that is not known.
 */
export function readRetention(text: string, columns: RetentionColumnMap | null, seconds: number | null): RetentionRead {
  const plain = text.replace(/^\uFEFF/u, '')
  // A comma may be the decimal mark where something else parts the cells.
  const beginning = plain.slice(0, 4000).split(/\r\n|\n|\r/u, 20)
  const delimiter = ['\t', ';'].find(mark => beginning.some(line => line.includes(mark))) ?? ','
  const { data } = Papa.parse<string[]>(plain, { delimiter, preview: MOST_LINES })
  const filled = data.flatMap((cells, i) => (cells.some(cell => cell.trim()) ? [{ cells, line: i + 1 }] : []))
  const [first] = filled
  if (!first) return { problem: 'The file has no readable lines.', line: null }
  const titled = first.cells.every(cell => Number.isNaN(numberIn(cell)))
  const map =
    columns ??
    (titled ? recogniseRetentionColumns(first.cells) : first.cells.length === 2 ? { position: 0, stays: 1 } : null)
  const lines = titled ? filled.slice(1) : filled
  if (map?.position === undefined || map.stays === undefined)
    return {
      headers: titled ? [...first.cells] : first.cells.map(() => ''),
      sample: lines.slice(0, 5).map(({ cells }) => [...cells]),
    }
  const points: { at: number; part: number; cells: readonly [string, string] }[] = []
  for (const { cells, line } of lines) {
    const told = [cells[map.position] ?? '', cells[map.stays] ?? ''] as const
    const [at, part] = told.map(numberIn) as [number, number]
    if (!(at >= 0)) return { problem: `“${told[0].slice(0, 40)}” is not a point in the video.`, line }
    if (!(part >= 0)) return { problem: `“${told[1].slice(0, 40)}” is not a share of viewers.`, line }
    points.push({ at, part, cells: told })
  }
  if (points.length < LEAST_LINES)
    return {
      problem: `The table needs ${LEAST_LINES} lines or more, from the video’s beginning to its end.`,
      line: null,
    }
  const last = Math.max(...points.map(({ at }) => at))
  const inTime =
    points.some(({ cells: [position] }) => position.includes(':')) ||
    (titled && SECONDS.test(first.cells[map.position] ?? ''))
  const whole = inTime || last > 100.5 ? (seconds ?? last) : last > 1 ? 100 : 1
  const percent = points.some(({ part, cells: [, stays] }) => part > MOST || stays.includes('%'))
  const known = points
    .map(({ at, part }) => ({ at: at / whole, part: percent ? part / 100 : part }))
    .sort((a, b) => ascending(a.at, b.at))
  const [begins, ends] = [known[0]!.at, known.at(-1)!.at]
  if (begins > REACH || ends < 1 - REACH || ends > 1 + REACH)
    return {
      problem: `The table covers ${inPercent(begins)} to ${inPercent(ends)} of the video. It must cover all of it.`,
      line: null,
    }
  const odd = known.find(({ part }) => part > MOST)
  if (odd) return { problem: `${inPercent(odd.part)} of viewers is more than there can be.`, line: null }
  return { tenths: TENTHS.map(at => partAt(known, at)), lines: points.length }
}

const inPercent = (part: number) => `${Math.round(part * 100)} %`

/** A number, with a point or a comma and with or without a percent sign, or a time in seconds; `NaN` for neither. */
function numberIn(cell: string): number {
  const text = cell.trim().replace(/%$/u, '').trimEnd()
  const time = /^(?:(\d{1,2}):)?(\d{1,3}):(\d{2}(?:\.\d+)?)$/u.exec(text)
  if (time) return Number(time[1] ?? 0) * 3600 + Number(time[2]) * 60 + Number(time[3])
  return /^\d+(?:[.,]\d+)?$/u.test(text) ? Number(text.replace(',', '.')) : Number.NaN
}

/** Between two points on a straight line; before the first and after the last as there. */
function partAt(points: readonly { at: number; part: number }[], at: number): number {
  const next = bisectLeft(
    points.map(point => point.at),
    at,
  )
  const [before, after] = [points[next - 1], points[next]]
  if (!before || !after) return (before ?? after)!.part
  return before.part + ((at - before.at) / (after.at - before.at)) * (after.part - before.part)
}
