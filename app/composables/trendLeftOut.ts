import type { WorthWeights } from '../../core/demand/worth'
import { api, messageOf } from '~/composables/api'
import { useNotices } from '~/stores/notices'

/** Takes the trend out of the worth in a workspace, which has no history of searches; with a way back. */
export async function leaveTrendOut(workspace: string): Promise<void> {
  const notices = useNotices()
  const params = { id: workspace }
  const set = (weights: WorthWeights) => api('PUT /api/workspaces/:id/settings', { params, body: { weights } })
  try {
    const { weights } = (await api('GET /api/workspaces/:id/settings', { params })).settings
    await set({ ...weights, trend: 0 })
    notices.show('Worth is now made from demand and ease alone.', {
      undo: async () => {
        await set(weights)
      },
    })
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  }
}
