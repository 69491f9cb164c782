import { defineStore } from 'pinia'
import { v4 as uuid } from 'uuid'
import { ref, watch } from 'vue'
import type { Brief, BriefFields, BriefLine } from '../../shared/brief'
import { api, messageOf } from '~/composables/api'
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

  async function refresh() {
    if (state.value !== 'ready') state.value = 'loading'
    try {
      briefs.value = (await api<{ briefs: BriefLine[] }>('/api/briefs')).briefs
      state.value = 'ready'
    } catch (error) {
      problem.value = messageOf(error)
      state.value = 'failed'
    }
  }

  const { revisions } = useChanges()
  watch(() => revisions.briefs, () => { if (state.value === 'ready') void refresh() })

  async function create(fields: Partial<BriefFields>): Promise<Brief> {
    const brief = await api<Brief>('/api/briefs', { method: 'POST', body: { id: uuid(), fields, workspace: workspace.id } })
    await refresh()
    return brief
  }

  async function duplicate(id: string): Promise<Brief> {
    const brief = await api<Brief>('/api/briefs', { method: 'POST', body: { copyOf: id } })
    await refresh()
    notices.tell(`“${brief.fields.topic}” made.`, { undo: () => remove(brief.id, false) })
    return brief
  }

  async function remove(id: string, withUndo = true) {
    const line = briefs.value.find(each => each.id === id)
    await api(`/api/briefs/${id}`, { method: 'DELETE' })
    await refresh()
    if (!withUndo) return
    notices.tell(`“${line?.topic || 'Untitled'}” deleted.`, {
      undo: async () => {
        await api(`/api/briefs/${id}/restore`, { method: 'POST' })
        await refresh()
      },
    })
  }

  return { briefs, state, problem, refresh, create, duplicate, remove }
})
