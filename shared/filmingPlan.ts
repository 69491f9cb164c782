import { z } from 'zod'
import type { PlannedFilm } from '../core/ranks/filmingPlan'
import { regionInput } from '../core/text/inputs'
import { workspaceInput } from './api/inputs'
import type { OpenPhrase } from './openPhrases'

const number = (what: string, { least, most }: { least: number; most: number }) =>
  z.coerce.number(`Give ${what}.`).min(least, `Give ${least} or more.`).max(most, `Give ${most} at most.`)

export const filmingPlanQuery = z.object({
  workspace: workspaceInput,
  region: regionInput,
  /** What a video takes, and what there is for it in a week. */
  hoursPerVideo: number('the hours that a video takes', { least: 0.5, most: 400 }).default(8),
  hoursPerWeek: number('the hours of a week', { least: 0.5, most: 100 }).default(8),
  weeks: number('a number of weeks', { least: 1, most: 52 }).int('Give whole weeks.').default(12),
})

/** A video of the plan, with the phrases that it is for. */
export interface FilmToMake extends Omit<PlannedFilm, 'idea'>, Pick<OpenPhrase, 'phrase' | 'also' | 'searches'> {
  /** Calendar months of the season’s peak, 0 January; `null` where none is known. */
  peaks: number[] | null
}
export interface FilmingPlanAnswer {
  /** In the order in which they are made. */
  films: FilmToMake[]
  /** When the plan ends: views count until then, UTC milliseconds; `null` without a film. */
  until: number | null
  /** Videos that the budget has room for, those of them in the calendar already, and ideas that were weighed. */
  room: number
  planned: number
  ideas: number
  /** Subscribers that a thousand views brought so far; `null` where that is not known: the reach stays as it is. */
  perThousand: number | null
}
