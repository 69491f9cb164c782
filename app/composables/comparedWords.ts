import { LEAST_CONTROLS, YOUNG_DAYS, type BeforeAfter } from '../../core/ranks/beforeAfter'
import type { Compared } from '../../core/ranks/sides'
import { counted, dayOnly } from './figures'

export const COMPARED_NAMES: Record<Compared, string> = {
  views: 'Views',
  search: 'Views from search',
  clickRate: 'Click rate',
  impressions: 'Impressions',
}
/** How many times as much. */
export const timesText = (value: number) => (value >= 10 ? value.toFixed(0) : value.toFixed(2))
export const timesRange = ({ low, high }: { low: number; high: number }) =>
  `${timesText(low)} to ${timesText(high)} times`

/** What a change did, in words. */
export function comparedSaid(result: BeforeAfter): string {
  const { state, effect, from } = result
  const range = effect ? timesRange(effect) : ''
  switch (state) {
    case 'more':
      return `More: ${range} as much`
    case 'less':
      return `Less: ${range} as much`
    case 'unclear':
      return `No clear difference: ${range} as much`
    case 'early':
      return `Too early to say: from ${dayOnly(from!)} on`
    case 'young':
      return `The video was younger than ${counted(YOUNG_DAYS + 7, 'day')}: first weeks fall by themselves`
    case 'no-days':
      return 'Not enough days are known before and after'
    case 'few-videos':
      return `Fewer than ${LEAST_CONTROLS} other videos tell what would have happened anyway`
  }
}

/** How that was worked out; `undefined` where nothing can be told. */
export function comparedWorking({ days, controls, effect }: BeforeAfter): string | undefined {
  if (!effect) return undefined
  const compared = `${counted(days, 'day')} before and after, less how ${counted(controls, 'other video')} did meanwhile`
  return `${timesText(effect.times)} times, 95 % between ${timesRange(effect)}: ${compared}`
}
