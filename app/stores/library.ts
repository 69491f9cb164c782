import { defineStore } from 'pinia'
import { v4 as uuid } from 'uuid'
import { ref, watch } from 'vue'
import type { BriefFields } from '../../core/brief/brief'
import type { Brief, BriefLine } from '../../shared/brief'
import { api, ApiProblem, messageOf } from '~/composables/api'
import { counted } from '~/composables/figures'
import { useChanges } from './changes'
import { useNotices } from './notices'
import { useWorkspace } from './workspace'

/** All briefs, newest change first. */
export const useLibrary = defineStore('library', () => {
  const notices = useNotices()
  const workspace = useWorkspace()
  const briefs = ref<BriefLine[]>([])
  const state = ref<'new' | 'loading' | 'ready' | 'failed'>('new')
  const problem = ref('')

  let asked = 0
  let latest = Promise.resolve()
  /** Who waits for it has the briefs as they are now, also where another asked meanwhile. */
  const refresh = (): Promise<void> => (latest = load())
  async function load(): Promise<void> {
    const mine = ++asked
    if (state.value !== 'ready') state.value = 'loading'
    try {
      const found = (await api('GET /api/briefs')).briefs
      // An earlier answer that comes later knows less.
      if (mine !== asked) return latest
      briefs.value = found
      state.value = 'ready'
    } catch (error) {
      if (mine !== asked) return latest
      problem.value = messageOf(error)
      state.value = 'failed'
    }
  }

  const { revisions } = useChanges()
  watch(
    () => revisions.briefs,
    () => {
      // One that failed, as while the server starts, is tried again.
      if (state.value !== 'new') void refresh()
    },
  )

  async function create(fields: Partial<BriefFields>): Promise<Brief> {
    const brief = await api('POST /api/briefs', {
      body: { id: uuid(), fields, workspace: workspace.id },
    })
    await refresh()
    return brief
  }

  async function duplicate(id: string): Promise<Brief> {
    const brief = await api('POST /api/briefs', { body: { copyOf: id } })
    await refresh()
    notices.show(`“${brief.fields.topic}” made.`, { undo: () => takeBack([brief]) })
    return brief
  }

  /** Deletes briefs just made, but for those somebody wrote in since. @throws what says which stay. */
  async function takeBack(made: readonly Brief[]) {
    const changed: string[] = []
    for (const { id, updatedAt, fields } of made) {
      try {
        await api('DELETE /api/briefs/:id', { params: { id }, query: { unchangedSince: updatedAt } })
      } catch (error) {
        if (!(error instanceof ApiProblem) || error.code !== 'changed-since') throw error
        changed.push(fields.topic || 'Untitled')
      }
    }
    await refresh()
    if (changed.length)
      throw new Error(`${counted(changed.length, 'brief')} changed since and not deleted: ${changed.join(', ')}.`)
  }

  async function remove(id: string) {
    const line = briefs.value.find(each => each.id === id)
    await api('DELETE /api/briefs/:id', { params: { id } })
    await refresh()
    notices.show(`“${line?.topic || 'Untitled'}” deleted.`, {
      undo: async () => {
        await api('POST /api/briefs/:id/restore', { params: { id } })
        await refresh()
      },
    })
  }

  return { briefs, state, problem, refresh, create, duplicate, remove, takeBack }
})
