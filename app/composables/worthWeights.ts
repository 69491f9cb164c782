import type { IntentRates, WorthWeights } from '../../core/demand/worth'
import { api, messageOf } from '~/composables/api'
import { useNotices } from '~/stores/notices'

/** What earnings count at first, of weights that add up to 1. */
const EARNINGS_FIRST = 0.2

/** Changes the weights of worth in a workspace; with a way back. */
async function changeWeights(workspace: string, change: (now: WorthWeights) => WorthWeights, said: string) {
  const notices = useNotices()
  const params = { id: workspace }
  const set = (weights: WorthWeights) => api('PUT /api/workspaces/:id/settings', { params, body: { weights } })
  try {
    const { weights } = (await api('GET /api/workspaces/:id/settings', { params })).settings
    await set(change(weights))
    notices.show(said, {
      undo: async () => {
        await set(weights)
      },
    })
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  }
}

/** Takes the trend out of the worth, where there is no history of searches. */
export const leaveTrendOut = (workspace: string) =>
  changeWeights(workspace, now => ({ ...now, trend: 0 }), 'Worth is now made from demand and ease alone.')

/** Lets what views of each intent bring count in the worth. */
export const weighByEarnings = (workspace: string, brings: IntentRates) =>
  changeWeights(
    workspace,
    now => ({ ...now, earnings: now.earnings || EARNINGS_FIRST, brings }),
    'Earnings now count in worth. Set their weight in the Library, under Channels.',
  )
