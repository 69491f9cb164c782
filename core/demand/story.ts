import type { Season } from './season'
import type { Spike } from './spike'
import type { Trend } from './trend'

const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
]
export const monthWord = (month: number) => MONTHS[month]!

/** `March to May`, `December and January`, `July`. */
export function monthSpan(months: readonly number[]): string {
  const [first, last] = [months[0], months.at(-1)]
  if (first === undefined || last === undefined) return ''
  if (months.length === 1) return MONTHS[first]!
  return `${MONTHS[first]} ${months.length === 2 ? 'and' : 'to'} ${MONTHS[last]}`
}

const percent = (part: number) => `${Math.round(Math.abs(part) * 100)} %`

/** How strong a season is, in words. */
export const seasonWord = (strength: number) => (strength >= 0.8 ? 'strong' : strength >= 0.5 ? 'clear' : 'slight')

export interface StoryOf {
  season: Season | null
  trend: Pick<Trend, 'direction' | 'yearly'> | null
  spike: Spike | null
  lastMonth: number
  months: number
}

/**
 * What a phrase's months say, in one to three sentences: a spike, a season, a trend, or that it
 * is asked for all year round.
 * @param lastMonth calendar month of the last month, 0 January; `months` how many there are.
 */
export function demandStory({ season, trend, spike, lastMonth, months }: StoryOf): string {
  if (!trend && !season && !spike)
    return months ? 'Not enough months to find a season or a trend.' : 'No source has monthly figures.'
  const said: string[] = []
  if (spike) {
    const month = (index: number) => (((lastMonth - (months - 1 - index)) % 12) + 12) % 12
    const when =
      spike.from === spike.to
        ? MONTHS[month(spike.from)]!
        : `${MONTHS[month(spike.from)]} to ${MONTHS[month(spike.to)]}`
    said.push(
      `A spike: ${percent(spike.share)} of all searches in ${months} months fell in ${when}${spike.over ? ', and it is over' : ''}.`,
    )
  }
  if (season) {
    const top = Math.max(...season.shape)
    said.push(
      `A ${seasonWord(season.strength)} season, highest in ${monthSpan(season.peaks)}: ${percent(top - 1)} above the year’s level.`,
    )
  }
  if (trend?.direction === 'rising') said.push(`Rising by ${percent(trend.yearly)} a year.`)
  else if (trend?.direction === 'fading') said.push(`Fading by ${percent(trend.yearly)} a year.`)
  else if (!spike)
    said.push(season ? 'Steady from year to year.' : 'Asked for all year round, steady from year to year.')
  return said.join(' ')
}
