import { z } from 'zod'
import { counted } from '../../text/inWords'
import { choiceField } from '../field'

/** Points of the channel's own checklist that were ticked: when, UTC milliseconds, by the id of the point. */
export const ticked = choiceField<Record<string, number>>({
  label: 'Points ticked',
  schema: z
    .record(z.string().min(1).max(60), z.number().int().min(0).max(Date.UTC(2100, 0)))
    .refine(given => Object.keys(given).length <= 200, 'A brief can have 200 ticked points at most.'),
  copied: false,
  empty: {},
  shown: value => (Object.keys(value).length ? counted(Object.keys(value).length, 'point') : ''),
})
