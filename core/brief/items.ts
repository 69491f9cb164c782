import type { z } from 'zod'
import { candidateSchema } from './items/candidate'

/**
 * What a brief has many of, each edited by itself: every kind with the schema of its values and the version of their
 * stored form.
 */
export const ITEM_KINDS = { candidate: { schema: candidateSchema, format: 1, most: 300 } } as const

export type ItemKind = keyof typeof ITEM_KINDS
export type ItemValue<Kind extends ItemKind> = z.infer<(typeof ITEM_KINDS)[Kind]['schema']>
export const ITEM_KIND_NAMES = Object.keys(ITEM_KINDS) as [ItemKind, ...ItemKind[]]
