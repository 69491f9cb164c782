import type { z } from 'zod'
import { placedSchema } from '../blocks/block'
import { candidateSchema } from './items/candidate'
import { filmingNoteSchema } from './items/filmingNote'
import { keptPromiseSchema } from './items/keptPromise'
import { localisedSchema } from './items/localised'
import { postSchema } from './items/post'
import { snapshotSchema } from './items/snapshot'
import { spreadStepSchema } from '../posts/plan'
import { thumbnailSchema } from '../thumbnail/picture'

/**
 * What a brief has many of, each edited by itself: every kind with the schema of its values, the version of their
 * stored form, how many there may be, and whether a copy of the brief has them too.
 */
export const ITEM_KINDS = {
  candidate: { schema: candidateSchema, format: 1, most: 300, copied: true },
  snapshot: { schema: snapshotSchema, format: 1, most: 100, copied: false },
  placed: { schema: placedSchema, format: 1, most: 50, copied: true },
  kept: { schema: keptPromiseSchema, format: 1, most: 300, copied: true },
  localised: { schema: localisedSchema, format: 1, most: 60, copied: true },
  filming: { schema: filmingNoteSchema, format: 1, most: 300, copied: true },
  post: { schema: postSchema, format: 1, most: 40, copied: false },
  spreadStep: { schema: spreadStepSchema, format: 1, most: 100, copied: false },
  thumbnail: { schema: thumbnailSchema, format: 1, most: 40, copied: false },
} as const

export type ItemKind = keyof typeof ITEM_KINDS
export type ItemValue<Kind extends ItemKind> = z.infer<(typeof ITEM_KINDS)[Kind]['schema']>
export const ITEM_KIND_NAMES = Object.keys(ITEM_KINDS) as [ItemKind, ...ItemKind[]]
