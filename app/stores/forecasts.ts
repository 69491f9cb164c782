import { defineStore } from 'pinia'
import { ref, shallowRef, watch } from 'vue'
import type { ReachAnswer, ReliabilityAnswer } from '../../shared/forecasts'
import { api, messageOf } from '~/composables/api'
import { useChanges } from './changes'
import { useWorkspace } from './workspace'

/** How forecasts turned out, and how far the channel reaches. */
export const useForecasts = defineStore('forecasts', () => {
  const workspace = useWorkspace()
  const reliability = shallowRef<ReliabilityAnswer | null>(null)
  const reach = shallowRef<ReachAnswer | null>(null)
  const problem = ref('')

  async function load() {
    const query = { workspace: workspace.id }
    try {
      const [turnedOut, far] = await Promise.all([
        api('GET /api/forecasts/reliability', { query }),
        api('GET /api/reach', { query }),
      ])
      if (query.workspace !== workspace.id) return
      reliability.value = turnedOut
      reach.value = far
      problem.value = ''
    } catch (error) {
      if (query.workspace === workspace.id) problem.value = messageOf(error)
    }
  }
  /** Shows them for the workspace, from now on. @returns how to stop. */
  const follow = () =>
    watch([() => workspace.id, () => useChanges().revisions.ranks], () => void load(), { immediate: true })
  return { reliability, reach, problem, load, follow }
})
