import { defineStore } from 'pinia'
import { watch } from 'vue'
import { api, messageOf } from '~/composables/api'
import { latestAnswer } from '~/composables/latestAnswer'
import { useChanges } from './changes'
import { useRanks } from './ranks'
import { useWorkspace } from './workspace'

/** Whether points go with what became of one’s own videos. */
export const usePoints = defineStore('points', () => {
  const workspace = useWorkspace()
  const ranks = useRanks()
  const { revisions } = useChanges()
  const { answer, problem, load } = latestAnswer(() =>
    api('GET /api/ranks/points', { query: { workspace: workspace.id, region: ranks.region ?? undefined } }),
  )
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
    const ends = [
      watch([() => workspace.id, () => ranks.region], () => void load(true), { immediate: true }),
      watch(
        () => revisions.ranks,
        () => void load(),
      ),
    ]
    return () => {
      for (const end of ends) end()
    }
  }
  return { answer, problem, load, follow }
})
