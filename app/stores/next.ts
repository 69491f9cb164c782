import { defineStore } from 'pinia'
import { watch } from 'vue'
import type { Proposal } from '../../core/next/proposal'
import { api, messageOf } from '~/composables/api'
import { latestAnswer } from '~/composables/latestAnswer'
import { useChanges } from './changes'
import { useNotices } from './notices'
import { useWorkspace } from './workspace'

/** What is worth doing today over all briefs and videos of the workspace. */
export const useNext = defineStore('next', () => {
  const workspace = useWorkspace()
  const notices = useNotices()
  const { revisions } = useChanges()
  const { answer, problem, load } = latestAnswer(() => api('GET /api/next', { query: { workspace: workspace.id } }))
  async function takeUp({ key }: Proposal) {
    try {
      await api('DELETE /api/next/off', { query: { workspace: workspace.id, key } })
      await load()
    } catch (error) {
      notices.show(messageOf(error), { serious: true })
    }
  }
  /** Does not propose it for so many days; `null` for good. */
  async function putOff(proposal: Proposal, days: number | null) {
    try {
      await api('POST /api/next/off', { body: { workspace: workspace.id, key: proposal.key, days } })
      const until = days === null ? 'is not proposed again' : 'put off for a week'
      notices.show(`“${proposal.title}” ${until}.`, { undo: () => takeUp(proposal) })
      await load()
    } catch (error) {
      notices.show(messageOf(error), { serious: true })
    }
  }
  return {
    answer,
    problem,
    load,
    putOff,
    takeUp,
    /** Asks again when what it follows from changes, from now on. @returns how to end that. */
    follow: () =>
      watch([() => workspace.id, () => revisions.briefs, () => revisions.ranks], () => void load(), {
        immediate: true,
      }),
  }
})
