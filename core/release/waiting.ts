import type { Season } from '../demand/season'
import { monthSpan, monthWord } from '../demand/story'
import type { Trend } from '../demand/trend'

/** Months after a release that are reckoned with: while it is new, a video wins most of what it wins. */
const FIRST_MONTHS = 3
/** How far ahead it may be worth waiting, and how many more searches that has to bring. */
const MOST_AHEAD = 6
const LEAST_GAIN = 1.25

/** Whether a release had better wait for the season of its lead. */
export interface Waiting {
  /** The calendar month to release in, 0 January; `null` where there is nothing to wait for. */
  month: number | null
  /** How many more searches its first months hold than those from now, .4 for two fifths; `null` without a wait. */
  gain: number | null
  text: string
}

/**
 * What a lead's season and trend say of releasing now.
 * @param month the calendar month it is, 0 January.
 * @returns `null` where there are not months enough to tell.
 */
export function waiting(
  { season, trend }: { season: Season | null; trend: Pick<Trend, 'direction' | 'yearly'> | null },
  month: number,
): Waiting | null {
  if (!season && !trend) return null
  const yearly = trend ? `${Math.round(Math.abs(trend.yearly) * 100)} % a year` : ''
  const direction =
    trend?.direction === 'rising'
      ? ` Rising by ${yearly}.`
      : trend?.direction === 'fading'
        ? ` Fading by ${yearly}.`
        : ''
  const none = (text: string): Waiting => ({ month: null, gain: null, text: text + direction })
  if (!season) return none('Searched all year round: there is no season to wait for.')
  const level = (ahead: number) => {
    let sum = 0
    for (let k = 0; k < FIRST_MONTHS; k++) sum += season.shape[(month + ahead + k) % 12]!
    return sum / FIRST_MONTHS
  }
  let best = 0
  for (let ahead = 1; ahead <= MOST_AHEAD; ahead++) if (level(ahead) > level(best)) best = ahead
  const peak = `Searched most in ${monthSpan(season.peaks)}.`
  const gain = level(best) / level(0) - 1
  if (best < 1 || 1 + gain < LEAST_GAIN)
    return none(`${peak} The ${FIRST_MONTHS} months from now are about as good as any in the next half year.`)
  const when = (month + best) % 12
  const more = `${Math.round(gain * 100)} % more searches in its first ${FIRST_MONTHS} months`
  return {
    month: when,
    gain,
    text: `${peak} A release in ${monthWord(when)} gets ${more} than one now.${direction}`,
  }
}
