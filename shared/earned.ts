import { z } from 'zod'
import { EARNED_KINDS, type EarnedKind } from '../core/formats/earnedColumns'
import type { Earned, EarningGroup, EarningIntent, EarningPhrase } from '../core/ranks/earned'
import { dayInput, ofWorkspace } from './api/inputs'

export const earnedKindInput = z.enum(EARNED_KINDS, 'Give click, call, coupon or order.')
export const earnedQuery = ofWorkspace
  .extend({
    /** The kind that is looked at; the dearest of those told by default. */
    kind: earnedKindInput.optional(),
    from: dayInput.optional(),
    to: dayInput.optional(),
  })
  .refine(({ from, to }) => !from || !to || from <= to, 'The first day is after the last.')

const line = {
  videoId: z.string().min(1).max(200),
  day: dayInput,
  kind: earnedKindInput,
}
export const earnedLineSchema = ofWorkspace.extend({
  ...line,
  count: z.number().int().min(0, 'A count is 0 or more.').max(1e9),
  /** In the workspace's currency; of all of the line together. */
  value: z.number().min(0, 'A value is 0 or more.').max(1e9).nullable().default(null),
  link: z.string().max(2000).default(''),
})
export const earnedLineQuery = ofWorkspace.extend({ ...line, link: z.string().max(2000).default('') })

/** A line as it was told. */
export interface ToldLine {
  videoId: string
  /** `yyyy-mm-dd`. */
  day: string
  kind: EarnedKind
  link: string
  count: number
  value: number | null
}
/** What phrases brought, over the days of which anything was told. */
export interface EarnedAnswer {
  /** What is known of each kind. `each` is what one of them is worth; `null` where nobody told. */
  kinds: { kind: EarnedKind; count: number; each: number | null; eachFrom: 'set' | 'told' | null }[]
  /** The kind that is looked at; `null` where nothing is told. */
  kind: EarnedKind | null
  /** A currency by its three letters. */
  currency: string
  /** What the person set that one of a kind is worth. */
  set: Partial<Record<EarnedKind, number>>
  /** `yyyy-mm-dd`; `null` where nothing is told. */
  from: string | null
  to: string | null
  /** How often it happened in all that was told of these days. */
  told: number
  /** How much of it lies on days of which the views of its video are known: phrases are told from this. */
  counted: number
  /** Videos that were told from, with how much each brought, most first. */
  videos: { id: string; count: number; views: number }[]
  /** Videos of which something was told, and no views are known on these days. */
  withoutViews: string[]
  /** Of any view. */
  rate: Earned['rate'] | null
  groups: EarningGroup[]
  intents: EarningIntent[]
  phrases: EarningPhrase[]
  /** The newest lines told, 200 at most. */
  lines: ToldLine[]
}
