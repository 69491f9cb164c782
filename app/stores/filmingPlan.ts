import { defineStore } from 'pinia'
import { reactive, ref } from 'vue'
import type { FilmToMake } from '../../shared/filmingPlan'
import { api, messageOf } from '~/composables/api'
import { counted } from '~/composables/figures'
import { latestAnswer } from '~/composables/latestAnswer'
import { useChanges } from './changes'
import { useNotices } from './notices'
import { useRanks } from './ranks'
import { useWorkspace } from './workspace'

const HOUR = 3_600_000

/** The next videos in order, under the time there is for them. */
export const useFilmingPlan = defineStore('filmingPlan', () => {
  const workspace = useWorkspace()
  const ranks = useRanks()
  const notices = useNotices()
  const { revisions } = useChanges()
  const budget = reactive({ hoursPerVideo: 8, hoursPerWeek: 8, weeks: 12 })
  const { follow: watched, ...kept } = latestAnswer(() =>
    api('GET /api/ranks/filming-plan', {
      query: { workspace: workspace.id, region: ranks.region ?? undefined, ...budget },
    }),
  )
  /** Shows it for the workspace, the region and the budget, from now on. @returns how to stop. */
  const follow = () =>
    watched(
      [
        () => workspace.id,
        () => ranks.region,
        () => budget.hoursPerVideo,
        () => budget.hoursPerWeek,
        () => budget.weeks,
      ],
      [() => revisions.briefs, () => revisions.pages],
    )
  /** How many are on their way into the calendar. */
  const placing = ref(0)
  /** A brief each, with its day of release. What was made stays when one fails. */
  async function place(films: readonly FilmToMake[]) {
    if (placing.value) return
    placing.value = films.length
    let made = 0
    try {
      for (const { phrase, also, at } of films) {
        const fields = {
          topic: phrase,
          language: workspace.current?.language ?? 'en',
          ...(ranks.region ? { region: ranks.region } : {}),
          tray: { lead: phrase, support: also.map(each => each.phrase), setAside: [] },
          releaseAt: Math.round(at / HOUR) * HOUR,
        }
        await api('POST /api/briefs', { body: { fields, workspace: workspace.id } })
        made++
      }
      notices.show(`${counted(made, 'brief')} with ${made === 1 ? 'its' : 'their'} day in the calendar.`)
    } catch (error) {
      const some = made ? `${counted(made, 'brief')} made, then it failed. ` : ''
      notices.show(`${some}${messageOf(error)}`, { serious: true })
    } finally {
      placing.value = 0
      await kept.load()
    }
  }
  return { ...kept, budget, follow, placing, place }
})
