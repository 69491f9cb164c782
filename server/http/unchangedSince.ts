import { z } from 'zod'
import { queryOf } from './route'
import { Problem } from './problem'
import type { H3Event } from 'h3'

const question = z.object({
  unchangedSince: z.coerce.number('Give a time in milliseconds.').int('Give a time in milliseconds.').optional(),
})

/**
 * The time after which what is to be deleted must not have changed, where the request names one: so that an undo leaves
 * alone what others wrote since.
 */
export const unchangedSince = (event: H3Event) => queryOf(event, question).unchangedSince

/** What keeps something from being deleted that was changed later. */
export const changedSince = (what: string) =>
  new Problem(409, 'changed-since', `This ${what} has changed since, so it was not deleted.`)
