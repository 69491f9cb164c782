import { z } from 'zod'
import type { LimitProfile } from '../../core/draft/limits'
import type { RuleSet } from '../../core/draft/ruleset'
import { regionInput } from '../../core/text/inputs'
import {
  filterSetSchema,
  listPatchSchema,
  newListSchema,
  placesQuerySchema,
  type ChangedList,
  type FilterSet,
  type ListLine,
  type ListPhrase,
  type Place,
  type SourceLine,
} from '../lists'
import type { PhraseRow } from '../phrases'
import {
  newWorkspaceSchema,
  settingsPatchSchema,
  workspacePatchSchema,
  type OwnVideo,
  type Settings,
  type Workspace,
} from '../workspace'
import {
  blockPatchSchema,
  newBlockSchema,
  newRuleSetSchema,
  newTagListSchema,
  newPlaylistSchema,
  newProfileSchema,
  playlistPatchSchema,
  profilePatchSchema,
  ruleSetPatchSchema,
  tagListPatchSchema,
  newEndLayoutSchema,
  type BlockUse,
  type SavedBlock,
  type SavedEndLayout,
  type SavedPlaylist,
  type SavedProfile,
  type SavedRuleSet,
  type SavedTagList,
} from '../workspaceItems'
import type { PlaylistAnswer, PlaylistLine, PlaylistPageAnswer, PlaylistSuggestions } from '../playlists'
import type { AccountLook } from '../release'
import { call, type, type Done } from './call'
import { anew, language, ofWorkspace, phraseQuestion, unlessChanged, workspaceInput } from './inputs'

const LIMIT = 'A limit is 1 to 2,000.'
const whole = z.coerce.number('Give a whole number.').int('Give a whole number.')

const account = call({ query: ofWorkspace.extend({ anew }), answer: type<AccountLook>() })
const playlistQuestion = call({ query: phraseQuestion.extend({ anew }), answer: type<PlaylistPageAnswer>() })

/** A workspace, and why its channel could not be looked at, if it could not. */
type LookedAt = Workspace & { problem: string | null }

export const libraryCalls = {
  'GET /api/lists': call({ query: ofWorkspace, answer: type<{ lists: ListLine[] }>() }),
  'POST /api/lists': call({ body: newListSchema, answer: type<ListLine>() }),
  /** The list's first phrases, or those after some, with what is known of each. */
  'GET /api/lists/:id': call({
    query: z.object({
      region: regionInput,
      language,
      workspace: workspaceInput,
      limit: whole.pipe(z.number().min(1, LIMIT).max(2000, LIMIT)).default(500),
      offset: whole.pipe(z.number().min(0, 'An offset is 0 or more.')).default(0),
    }),
    answer: type<ListLine & { rows: (ListPhrase & { row: PhraseRow | null })[] }>(),
  }),
  'PATCH /api/lists/:id': call({ body: listPatchSchema, answer: type<ChangedList>() }),
  'DELETE /api/lists/:id': call({ query: unlessChanged, answer: type<Done>() }),
  'POST /api/lists/:id/restore': call({ answer: type<ListLine>() }),
  /** Answered with a file. */
  'GET /api/lists/:id/export': call({
    query: z.object({
      format: z.enum(['csv', 'json'], { error: 'A format is csv or json.' }).default('csv'),
      region: regionInput,
      language,
    }),
    answer: type<string>(),
  }),
  'GET /api/blocks': call({ query: ofWorkspace, answer: type<{ blocks: SavedBlock[] }>() }),
  'POST /api/blocks': call({ body: newBlockSchema, answer: type<SavedBlock>() }),
  'GET /api/blocks/:id': call({ answer: type<SavedBlock & { uses: BlockUse[] }>() }),
  'PATCH /api/blocks/:id': call({
    body: blockPatchSchema,
    answer: type<SavedBlock & { followed: string[]; left: string[] }>(),
  }),
  'DELETE /api/blocks/:id': call({ answer: type<Done>() }),
  'GET /api/tag-lists': call({ query: ofWorkspace, answer: type<{ tagLists: SavedTagList[] }>() }),
  'POST /api/tag-lists': call({ body: newTagListSchema, answer: type<SavedTagList>() }),
  'GET /api/tag-lists/:id': call({ answer: type<SavedTagList>() }),
  'PATCH /api/tag-lists/:id': call({ body: tagListPatchSchema, answer: type<SavedTagList>() }),
  'DELETE /api/tag-lists/:id': call({ answer: type<Done>() }),
  /** Arrangements of an end screen that are kept for the next video. */
  'GET /api/end-layouts': call({ query: ofWorkspace, answer: type<{ layouts: SavedEndLayout[] }>() }),
  'POST /api/end-layouts': call({ body: newEndLayoutSchema, answer: type<SavedEndLayout>() }),
  'DELETE /api/end-layouts/:id': call({ answer: type<Done>() }),
  'GET /api/rule-sets': call({ query: ofWorkspace, answer: type<{ shipped: RuleSet[]; ruleSets: SavedRuleSet[] }>() }),
  'POST /api/rule-sets': call({ body: newRuleSetSchema, answer: type<SavedRuleSet>() }),
  'GET /api/rule-sets/:id': call({ answer: type<SavedRuleSet>() }),
  'PATCH /api/rule-sets/:id': call({ body: ruleSetPatchSchema, answer: type<SavedRuleSet>() }),
  'DELETE /api/rule-sets/:id': call({ answer: type<Done>() }),
  'GET /api/limit-profiles': call({
    query: ofWorkspace,
    answer: type<{ shipped: LimitProfile[]; profiles: SavedProfile[] }>(),
  }),
  'POST /api/limit-profiles': call({ body: newProfileSchema, answer: type<SavedProfile>() }),
  'GET /api/limit-profiles/:id': call({ answer: type<SavedProfile>() }),
  'PATCH /api/limit-profiles/:id': call({ body: profilePatchSchema, answer: type<SavedProfile>() }),
  'DELETE /api/limit-profiles/:id': call({ answer: type<Done>() }),
  'GET /api/playlists': call({ query: ofWorkspace, answer: type<{ playlists: PlaylistLine[] }>() }),
  'POST /api/playlists': call({ body: newPlaylistSchema, answer: type<SavedPlaylist>() }),
  'GET /api/playlists/:id': call({ answer: type<PlaylistAnswer>() }),
  'PATCH /api/playlists/:id': call({ body: playlistPatchSchema, answer: type<SavedPlaylist>() }),
  'DELETE /api/playlists/:id': call({ answer: type<Done>() }),
  'GET /api/playlists/page': playlistQuestion,
  'POST /api/playlists/page': playlistQuestion,
  'GET /api/playlists/suggest': call({
    query: z.object({ brief: z.uuid().optional(), region: regionInput, language, workspace: workspaceInput }),
    answer: type<PlaylistSuggestions>(),
  }),
  'GET /api/filter-sets': call({ query: ofWorkspace, answer: type<{ sets: FilterSet[] }>() }),
  'POST /api/filter-sets': call({ body: filterSetSchema, answer: type<FilterSet>() }),
  'DELETE /api/filter-sets/:id': call({ answer: type<Done>() }),
  'GET /api/places': call({
    query: placesQuerySchema,
    answer: type<{ places: Place[]; regions: { region: string; n: number }[] }>(),
  }),
  'GET /api/account': account,
  'POST /api/account': account,
  'GET /api/sources': call({ answer: type<{ sources: SourceLine[] }>() }),
  'PUT /api/sources/order': call({
    body: z.object({ ids: z.array(z.number().int()).min(1, 'List the sources in order of preference.').max(500) }),
    answer: type<{ sources: SourceLine[] }>(),
  }),
  'GET /api/workspaces': call({ answer: type<{ workspaces: Workspace[] }>() }),
  'POST /api/workspaces': call({ body: newWorkspaceSchema, answer: type<LookedAt>() }),
  'PATCH /api/workspaces/:id': call({ body: workspacePatchSchema, answer: type<LookedAt>() }),
  'DELETE /api/workspaces/:id': call({ answer: type<Done>() }),
  'GET /api/workspaces/:id/settings': call({ answer: type<{ settings: Settings; videos: OwnVideo[] }>() }),
  /** Sets what is given; what is left out stays. */
  'PUT /api/workspaces/:id/settings': call({ body: settingsPatchSchema, answer: type<{ settings: Settings }>() }),
}
