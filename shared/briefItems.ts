import { z } from 'zod'
import { ITEM_KIND_NAMES, ITEM_KINDS, type ItemKind, type ItemValue } from '../core/brief/items'
import { listedOr } from '../core/text/inWords'
import type { Item } from './items'

/** One of what a brief has many of, with its revision. */
export type BriefItem<Kind extends ItemKind = ItemKind> = Item<Kind, ItemValue<Kind>>

const KINDS_IN_WORDS = `A kind is ${listedOr(ITEM_KIND_NAMES)}.`
export const itemKindInput = z.enum(ITEM_KIND_NAMES, KINDS_IN_WORDS)

/** An item as it is saved: stated against the revision it was changed from, 0 for a new one. */
const saved = { revision: z.number().int().min(0), position: z.number().min(-1e9).max(1e9).optional() }
const bodyOf = <Kind extends ItemKind>(kind: Kind) =>
  z.object({ ...saved, kind: z.literal(kind), value: ITEM_KINDS[kind].schema })
export const itemBodySchema = z.discriminatedUnion(
  'kind',
  [
    bodyOf('candidate'),
    bodyOf('snapshot'),
    bodyOf('placed'),
    bodyOf('kept'),
    bodyOf('filming'),
    bodyOf('localised'),
    bodyOf('thumbnail'),
    bodyOf('post'),
    bodyOf('spreadStep'),
  ],
  KINDS_IN_WORDS,
)
