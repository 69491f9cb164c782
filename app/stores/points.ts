import { defineStore } from 'pinia'
import { ref, shallowRef, watch } from 'vue'
import type { PointsAnswer } from '../../shared/points'
import { api, messageOf } from '~/composables/api'
import { useChanges } from './changes'
import { useRanks } from './ranks'
import { useWorkspace } from './workspace'

/** Whether points go with what became of one’s own videos. */
export const usePoints = defineStore('points', () => {
  const workspace = useWorkspace()
  const ranks = useRanks()
  const { revisions } = useChanges()
  const answer = shallowRef<PointsAnswer | null>(null)
  const problem = ref('')
  let asked = 0

  let of = ''
  async function load() {
    const where = `${workspace.id} ${ranks.region ?? ''}`
    // What is shown stays until the new figures are there, unless it is of another channel or region.
    if (where !== of) answer.value = null
    of = where
    const mine = ++asked
    problem.value = ''
    try {
      const query = { workspace: workspace.id, region: ranks.region ?? undefined }
      const found = await api('GET /api/ranks/points', { query })
      if (mine === asked) answer.value = found
    } catch (error) {
      if (mine === asked) problem.value = messageOf(error)
    }
  }
  /** Figures of days that are due are asked for, in a job; with them it is worked out anew. */
  async function askViews() {
    try {
      await api('POST /api/videos/views', { query: { workspace: workspace.id } })
    } catch (error) {
      problem.value = messageOf(error)
    }
  }
  /** Shows it for the workspace and region, from now on. @returns how to stop. */
  const follow = () => {
    void askViews()
    return watch([() => workspace.id, () => ranks.region, () => revisions.ranks], () => void load(), {
      immediate: true,
    })
  }
  return { answer, problem, load, follow }
})
