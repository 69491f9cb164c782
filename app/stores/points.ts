import { defineStore } from 'pinia'
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
  const { follow: watched, ...kept } = latestAnswer(() =>
    api('GET /api/ranks/points', { query: { workspace: workspace.id, region: ranks.region ?? undefined } }),
  )
  /** Figures of days that are due are asked for, in a job; with them it is worked out anew. */
  async function askViews() {
    try {
      await api('POST /api/videos/views', { query: { workspace: workspace.id } })
    } catch (error) {
      kept.problem.value = messageOf(error)
    }
  }
  /** Shows it for the workspace and region, from now on. @returns how to stop. */
  const follow = () => {
    void askViews()
    return watched([() => workspace.id, () => ranks.region], [() => revisions.ranks])
  }
  return { ...kept, follow }
})
