import type { Compared } from '../../core/ranks/sides'

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
