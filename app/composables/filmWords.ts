import { monthSpan } from '../../core/demand/story'
import type { FilmToMake } from '../../shared/filmingPlan'
import { chanceText } from './figures'
import { fewViews } from './rankCells'

/** Less is no season to speak of, and no other chance. */
const LEAST_SEASON = 1.1
const LEAST_CHANCE = 0.015

/** Why a video stands where it does in the plan, by its figures. */
export function filmWhy({ season, peaks, chance, chanceToday, later }: FilmToMake): string {
  const why: string[] = []
  if (later >= 0.5) why.push(`Out one release later it loses ${fewViews(later)} views.`)
  if (peaks && season >= LEAST_SEASON) why.push(`Its season, ${monthSpan(peaks)}, is near.`)
  else if (peaks && season < 1 / LEAST_SEASON) why.push(`Its season, ${monthSpan(peaks)}, is not near.`)
  if (chance - chanceToday >= LEAST_CHANCE)
    why.push(`Chance of page one ${chanceText(chance)} by then, ${chanceText(chanceToday)} today.`)
  return why.join(' ')
}
