import { defineStore } from 'pinia'
import { v7 as uuid } from 'uuid'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Block } from '../../core/blocks/block'
import type { TagList } from '../../core/tags/tagList'
import { RULE_SETS, type RuleSet } from '../../core/draft/ruleset'
import { DEFAULT_PROFILE, PROFILES, type LimitProfile } from '../../core/draft/limits'
import type { OwnProfile } from '../../core/draft/profileSchema'
import type { OwnRuleSet } from '../../core/draft/ruleSetSchema'
import type { SavedEndLayout, SavedBlock, SavedProfile, SavedRuleSet, SavedTagList } from '../../shared/workspaceItems'
import { api, messageOf } from '~/composables/api'
import { useChanges } from './changes'
import { useNotices } from './notices'
import { useWorkspace } from './workspace'

/** Blocks of text, lists of tags and rule sets of the workspace at work. */
export const useWorkspaceItems = defineStore('workspaceItems', () => {
  const workspace = useWorkspace()
  const changes = useChanges()
  const notices = useNotices()
  const blocks = shallowRef<SavedBlock[] | null>(null)
  const tagLists = shallowRef<SavedTagList[] | null>(null)
  const endLayouts = shallowRef<SavedEndLayout[]>([])
  const ownRuleSets = shallowRef<SavedRuleSet[]>([])
  /** All there are to choose from: those that ship, then one's own. */
  const ruleSets = computed<RuleSet[]>(() => [
    ...RULE_SETS,
    ...ownRuleSets.value.map(({ id, name, note, checks }): RuleSet => ({ format: 1, id, name, note, checks })),
  ])
  const ownProfiles = shallowRef<SavedProfile[]>([])
  const profiles = computed<LimitProfile[]>(() => [
    ...PROFILES,
    ...ownProfiles.value.map(({ id, revision: _, createdAt: __, savedAt: ___, ...value }) => ({
      format: 1 as const,
      id,
      ...value,
    })),
  ])
  const problem = ref('')
  const id = computed(() => workspace.id)

  async function load() {
    const of = id.value
    if (!of) return
    try {
      const query = { workspace: of }
      const [{ blocks: found }, { tagLists: lists }, { ruleSets: sets }, { profiles: limits }, { layouts }] =
        await Promise.all([
          api('GET /api/blocks', { query }),
          api('GET /api/tag-lists', { query }),
          api('GET /api/rule-sets', { query }),
          api('GET /api/limit-profiles', { query }),
          api('GET /api/end-layouts', { query }),
        ])
      if (of !== id.value) return
      blocks.value = found
      tagLists.value = lists
      ownRuleSets.value = sets
      ownProfiles.value = limits
      endLayouts.value = layouts
      problem.value = ''
    } catch (error) {
      problem.value = messageOf(error)
    }
  }
  watch([id, () => changes.revisions.workspaces], () => void load(), { immediate: true })

  /** Runs a change and reads the lists anew. @returns whether it went through. */
  async function change(work: () => Promise<unknown>): Promise<boolean> {
    try {
      await work()
      await load()
      return true
    } catch (error) {
      notices.show(messageOf(error), { serious: true })
      await load()
      return false
    }
  }

  return {
    blocks,
    tagLists,
    endLayouts,
    ruleSets,
    ownRuleSets,
    /** The set of an id; the first one for an id that none has. */
    ruleSetOf: (of: string): RuleSet => ruleSets.value.find(each => each.id === of) ?? RULE_SETS[0]!,
    profiles,
    ownProfiles,
    /** The limits of an id; those of the video site for an id that none has. */
    profileOf: (of: string): LimitProfile => profiles.value.find(each => each.id === of) ?? DEFAULT_PROFILE,
    problem,
    load,
    addBlock: (block: Block) =>
      change(() => api('POST /api/blocks', { body: { ...block, id: uuid(), workspace: id.value } })),
    /** @param follow briefs whose live copy follows. */
    async setBlock({ id, revision }: SavedBlock, block: Partial<Block>, follow: string[] = []) {
      let left: string[] = []
      const done = await change(async () => {
        ;({ left } = await api('PATCH /api/blocks/:id', { params: { id }, body: { revision, ...block, follow } }))
      })
      return { done, left }
    },
    async removeBlock({ id, name, text, standing }: SavedBlock) {
      const of = workspace.id
      if (await change(() => api('DELETE /api/blocks/:id', { params: { id } })))
        notices.show(`Block “${name}” deleted. Its text stays where it stands.`, {
          undo: async () => {
            await change(() => api('POST /api/blocks', { body: { id, name, text, standing, workspace: of } }))
          },
        })
    },
    addEndLayout: (name: string, elements: SavedEndLayout['elements']) =>
      change(() => api('POST /api/end-layouts', { body: { id: uuid(), name, elements, workspace: id.value } })),
    async removeEndLayout({ id, name, elements }: SavedEndLayout) {
      const of = workspace.id
      if (await change(() => api('DELETE /api/end-layouts/:id', { params: { id } })))
        notices.show(`Layout “${name}” deleted.`, {
          undo: async () => {
            await change(() => api('POST /api/end-layouts', { body: { id, name, elements, workspace: of } }))
          },
        })
    },
    /** @returns its id, or `null` where it could not be made. */
    async addRuleSet(set: OwnRuleSet): Promise<string | null> {
      const made = uuid()
      return (await change(() => api('POST /api/rule-sets', { body: { ...set, id: made, workspace: id.value } })))
        ? made
        : null
    },
    setRuleSet: ({ id, revision }: SavedRuleSet, set: Partial<OwnRuleSet>) =>
      change(() => api('PATCH /api/rule-sets/:id', { params: { id }, body: { revision, ...set } })),
    async removeRuleSet({ id, name, note, checks }: SavedRuleSet) {
      const of = workspace.id
      if (await change(() => api('DELETE /api/rule-sets/:id', { params: { id } })))
        notices.show(`Rule set “${name}” deleted. Briefs under it are scored as “${RULE_SETS[0]!.name}”.`, {
          undo: async () => {
            await change(() => api('POST /api/rule-sets', { body: { id, name, note, checks, workspace: of } }))
          },
        })
    },
    async addProfile(limits: OwnProfile): Promise<string | null> {
      const made = uuid()
      return (await change(() =>
        api('POST /api/limit-profiles', { body: { ...limits, id: made, workspace: id.value } }),
      ))
        ? made
        : null
    },
    setProfile: ({ id, revision }: SavedProfile, limits: OwnProfile) =>
      change(() => api('PATCH /api/limit-profiles/:id', { params: { id }, body: { revision, ...limits } })),
    async removeProfile({ id, revision: _, createdAt: __, savedAt: ___, ...limits }: SavedProfile) {
      const of = workspace.id
      if (await change(() => api('DELETE /api/limit-profiles/:id', { params: { id } })))
        notices.show(`Limits “${limits.name}” deleted. Briefs under them use those of the video site.`, {
          undo: async () => {
            await change(() => api('POST /api/limit-profiles', { body: { id, ...limits, workspace: of } }))
          },
        })
    },
    addTagList: (list: TagList) =>
      change(() => api('POST /api/tag-lists', { body: { ...list, id: uuid(), workspace: id.value } })),
    async removeTagList({ id, name, tags }: SavedTagList) {
      const of = workspace.id
      if (await change(() => api('DELETE /api/tag-lists/:id', { params: { id } })))
        notices.show(`List “${name}” deleted.`, {
          undo: async () => {
            await change(() => api('POST /api/tag-lists', { body: { id, name, tags, workspace: of } }))
          },
        })
    },
  }
})
