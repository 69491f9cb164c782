import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import type { Workspace } from '../../shared/workspace'
import { remember } from '~/composables/remember'
import { api, messageOf } from '~/composables/api'
import { useChanges } from './changes'
import { useBrief } from './brief'

export type Perspective = 'anyone' | 'channel'

const KEY = 'fonetra.workspace'

/** The workspaces, which of them is current, and whether phrases are scored for anyone or for its channel. */
export const useWorkspace = defineStore('workspace', () => {
  const brief = useBrief()
  const workspaces = ref<Workspace[]>([])
  const problem = ref('')
  /** Whether the list was loaded once, or loading failed. */
  const loaded = ref(false)
  const chosen = ref(localStorage.getItem(KEY))
  /** The perspective in the address; where it has none, the one chosen last. */
  const perspective = ref<Perspective>(localStorage.getItem('fonetra.for') === 'channel' ? 'channel' : 'anyone')

  /** The open brief says whose work it is; without one, what was chosen last. */
  const current = computed<Workspace | null>(
    () =>
      workspaces.value.find(each => each.id === brief.brief?.workspaceId) ??
      workspaces.value.find(each => each.id === chosen.value) ??
      workspaces.value[0] ??
      null,
  )
  const id = computed(() => current.value?.id)
  /** Where phrases are looked at unless said otherwise: as the open brief says, else where the channel is. */
  const region = computed(() => (brief.fields ? brief.fields.region : (current.value?.region ?? null)))
  /** The language that is worked in: the open brief's, else the workspace's. */
  const language = computed(() => brief.fields?.language ?? current.value?.language ?? 'en')
  /** Whether the one chosen last is still there. */
  const known = computed(() => workspaces.value.some(each => each.id === chosen.value))

  async function refresh() {
    try {
      workspaces.value = (await api('GET /api/workspaces')).workspaces
      problem.value = ''
    } catch (error) {
      problem.value = messageOf(error)
    } finally {
      loaded.value = true
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

  function setPerspective(next: Perspective) {
    perspective.value = next
    remember('fonetra.for', next)
  }

  return {
    workspaces,
    current,
    id,
    language,
    region,
    chosen,
    known,
    perspective,
    problem,
    loaded,
    refresh,
    choose,
    setPerspective,
  }
})
