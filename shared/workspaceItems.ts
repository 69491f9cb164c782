import { z } from 'zod'
import { blockSchema } from '../core/blocks/block'
import { ownRuleSetSchema, ownRuleSetShape } from '../core/draft/ruleSetSchema'
import { ownProfileSchema } from '../core/draft/profileSchema'
import { outletSchema } from '../core/posts/outlet'
import { playlistSchema, playlistShape } from '../core/playlist/playlist'
import { endLayoutSchema } from '../core/release/endScreen'
import { tagListSchema } from '../core/tags/tagList'
import type { WorkspaceKind, WorkspaceValue } from '../core/workspace/items'
import { workspaceInput } from './api/inputs'

/** What a workspace has many of, as the API tells it. */
export type WorkspaceItem<Kind extends WorkspaceKind> = WorkspaceValue<Kind> & {
  id: string
  revision: number
  createdAt: number
  savedAt: number
}
export type SavedBlock = WorkspaceItem<'block'>
export type SavedTagList = WorkspaceItem<'tagList'>
export type SavedRuleSet = WorkspaceItem<'ruleSet'>
export type SavedProfile = WorkspaceItem<'limitProfile'>
export type SavedEndLayout = WorkspaceItem<'endLayout'>
export type SavedOutlet = WorkspaceItem<'outlet'>
export type SavedPlaylist = WorkspaceItem<'playlist'>

/** An id of the client's own, so that a repeat makes no second; one that was deleted comes back. */
const made = { id: z.uuid().optional(), workspace: workspaceInput }
export const newBlockSchema = blockSchema.extend(made)
export const newTagListSchema = tagListSchema.extend(made)
export const newRuleSetSchema = ownRuleSetSchema.safeExtend(made)
export const newPlaylistSchema = playlistSchema.extend(made)
export const newEndLayoutSchema = endLayoutSchema.extend(made)
export const newOutletSchema = outletSchema.extend(made)
export const newProfileSchema = ownProfileSchema.extend(made)

const revision = z.number({ error: 'State the revision it was changed from.' }).int().min(0)
export const blockPatchSchema = z.object({
  revision,
  name: blockSchema.shape.name.optional(),
  text: blockSchema.shape.text.optional(),
  standing: z.boolean().optional(),
  /** Briefs whose live copy follows the change. */
  follow: z.array(z.uuid()).max(300, '300 briefs can follow at a time.').default([]),
})
export const tagListPatchSchema = z.object({
  revision,
  name: tagListSchema.shape.name.optional(),
  tags: tagListSchema.shape.tags.optional(),
})
export const ruleSetPatchSchema = z.object({
  revision,
  name: ownRuleSetShape.name.optional(),
  note: ownRuleSetShape.note.unwrap().optional(),
  checks: ownRuleSetShape.checks.optional(),
})

export const profilePatchSchema = ownProfileSchema.partial().extend({ revision })

export const playlistPatchSchema = z.object(playlistShape).partial().extend({ revision })

/** Left out is unchanged, also what has a value of its own where nothing is given. */
export const outletPatchSchema = z
  .object({
    ...outletSchema.shape,
    audience: outletSchema.shape.audience.unwrap(),
    note: outletSchema.shape.note.unwrap(),
  })
  .partial()
  .extend({ revision })

/** An outlet with what came of it, as the plans of all briefs say. */
export interface OutletLine extends SavedOutlet {
  /** How often it was told of a video. */
  told: number
  /** Visits it brought; `null` where nobody read them off. */
  visits: number | null
}

/** Where a block stands. */
export interface BlockUse {
  brief: string
  topic: string
  /** Placed live: it follows a change, unless it was edited there. */
  live: boolean
  edited: boolean
}
