import { z } from 'zod'
import { ITEM_KIND_NAMES, ITEM_KINDS, type ItemKind, type ItemValue } from '../core/brief/items'

/** One of what a brief has many of, with its revision. */
export interface BriefItem<Kind extends ItemKind = ItemKind> {
  id: string
  kind: Kind
  position: number
  revision: number
  value: ItemValue<Kind>
  createdAt: number
  savedAt: number
}

export const itemKindInput = z.enum(ITEM_KIND_NAMES, `A kind is ${ITEM_KIND_NAMES.join(' or ')}.`)

/** An item as it is saved: stated against the revision it was changed from, 0 for a new one. */
export const itemBodySchema = z.object({
  kind: itemKindInput,
  revision: z.number().int().min(0),
  position: z.number().min(-1e9).max(1e9).optional(),
  value: ITEM_KINDS.candidate.schema,
})
