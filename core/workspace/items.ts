import type { z } from 'zod'
import { blockSchema } from '../blocks/block'
import { ownProfileSchema } from '../draft/profileSchema'
import { ownRuleSetSchema } from '../draft/ruleSetSchema'
import { playlistSchema } from '../playlist/playlist'
import { outletSchema } from '../posts/outlet'
import { endLayoutSchema } from '../release/endScreen'
import { tagListSchema } from '../tags/tagList'

/** What a workspace has many of, each edited by itself. */
export const WORKSPACE_KINDS = {
  block: { schema: blockSchema, format: 1, most: 200, copied: false },
  tagList: { schema: tagListSchema, format: 1, most: 200, copied: false },
  ruleSet: { schema: ownRuleSetSchema, format: 1, most: 50, copied: false },
  playlist: { schema: playlistSchema, format: 1, most: 200, copied: false },
  endLayout: { schema: endLayoutSchema, format: 1, most: 50, copied: false },
  outlet: { schema: outletSchema, format: 1, most: 200, copied: false },
  limitProfile: { schema: ownProfileSchema, format: 1, most: 50, copied: false },
} as const

export type WorkspaceKind = keyof typeof WORKSPACE_KINDS
export type WorkspaceValue<Kind extends WorkspaceKind> = z.infer<(typeof WORKSPACE_KINDS)[Kind]['schema']>
