import { z } from 'zod'
import { counted } from '../../text/inWords'
import { choiceField } from '../field'

/**
 * What was handed over by hand: of each step when, UTC milliseconds, and the digest of what it held then, by which a
 * later change is seen.
 */
export const handed = choiceField<Record<string, { at: number; digest: string }>>({
  label: 'Handed over',
  schema: z
    .record(
      z.string().min(1).max(60),
      z.object({ at: z.number().int().min(0).max(Date.UTC(2100, 0)), digest: z.string().max(20) }),
    )
    .refine(given => Object.keys(given).length <= 60, 'A hand-over has 60 steps at most.'),
  copied: false,
  empty: {},
  shown: value => (Object.keys(value).length ? counted(Object.keys(value).length, 'step') : ''),
})
