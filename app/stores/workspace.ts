import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import type { Workspace } from '../../shared/workspace'
import { remember } from '~/composables/remember'
import { api, messageOf } from '~/composables/api'
import { useChanges } from './changes'
import { useBrief } from './brief'

export type Whom = 'anyone' | 'channel'

const KEY = 'fonetra.workspace'

/** The workspaces, which of them is at work, and for whom phrases are judged. */
export const useWorkspace = defineStore('workspace', () => {
  const brief = useBrief()
  const workspaces = ref<Workspace[]>([])
  const problem = ref('')
  /** Whether the list has been answered once, or could not be had. */
  const told = ref(false)
  const chosen = ref(localStorage.getItem(KEY))
  /** For whom the address says; what was last chosen where it says nothing. */
  const whom = ref<Whom>(localStorage.getItem('fonetra.for') === 'channel' ? 'channel' : 'anyone')

  /** The open brief says whose work it is; without one, what was chosen last. */
  const current = computed<Workspace | null>(
    () =>
      workspaces.value.find(each => each.id === brief.brief?.workspaceId) ??
      workspaces.value.find(each => each.id === chosen.value) ??
      workspaces.value[0] ??
      null,
  )
  const id = computed(() => current.value?.id)
  /** Whether the one chosen last is still there. */
  const known = computed(() => workspaces.value.some(each => each.id === chosen.value))

  async function refresh() {
    try {
      workspaces.value = (await api<{ workspaces: Workspace[] }>('/api/workspaces')).workspaces
      problem.value = ''
    } catch (error) {
      problem.value = messageOf(error)
    } finally {
      told.value = true
    }
  }

  watch(
    () => useChanges().revisions.workspaces,
    () => void refresh(),
  )

  function choose(workspace: string) {
    chosen.value = workspace
    remember(KEY, workspace)
  }

  function judgeFor(next: Whom) {
    whom.value = next
    remember('fonetra.for', next)
  }

  return { workspaces, current, id, chosen, known, whom, problem, told, refresh, choose, judgeFor }
})
