import { z } from 'zod'
import type { BeforeAfter } from '../core/ranks/beforeAfter'
import type { PlannedStanding } from '../core/ranks/plannedChange'
import { COMPARED, type Compared } from '../core/ranks/sides'
import { dayInput, ofWorkspace } from './api/inputs'

/** Parts of a video whose change can be planned. */
export const PLANNED_FIELDS = ['title', 'description', 'tags', 'thumbnail'] as const
export type PlannedField = (typeof PLANNED_FIELDS)[number]

export const newPlannedSchema = ofWorkspace.extend({
  field: z.enum(PLANNED_FIELDS, 'Give title, description, tags or thumbnail.'),
  /** What it is to become. */
  note: z.string().max(500, 'Say it in 500 characters at most.').default(''),
  day: dayInput,
  weeks: z.number().int('Give whole weeks.').min(1, 'Give a week at least.').max(4, 'Give four weeks at most.'),
  what: z.enum(COMPARED, 'Give views, search, impressions or clickRate.'),
})
export const plannedQuery = ofWorkspace.extend({ plan: z.string().min(1).max(60) })

/** A planned change, and what came of it. */
export interface PlannedChange {
  id: string
  field: PlannedField
  note: string
  /** `yyyy-mm-dd`: the day it is planned for. */
  day: string
  weeks: number
  /** What is compared, settled beforehand. */
  what: Compared
  state: PlannedStanding['state']
  /** `yyyy-mm-dd`; `null` while it was not made. */
  changedOn: string | null
  answerOn: string | null
  /** `null` before its time. */
  result: BeforeAfter | null
}
