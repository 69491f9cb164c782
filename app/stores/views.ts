import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { spanOf } from '../../core/ranks/span'
import { dayNamed } from '../../core/ranks/standing'
import type { PlannedChange } from '../../shared/plannedChanges'
import type { ViewsAnswer } from '../../shared/views'
import { api, messageOf } from '~/composables/api'
import { dayOnly } from '~/composables/figures'
import { useMutation } from '~/composables/mutation'
import { useChanges } from './changes'
import { useNotices } from './notices'
import { useRanks } from './ranks'
import { useWorkspace } from './workspace'

type NewPlan = Pick<PlannedChange, 'field' | 'note' | 'day' | 'weeks' | 'what'>

/** How the video that is shown was watched, and what that says. */
export const useViews = defineStore('views', () => {
  const ranks = useRanks()
  const workspace = useWorkspace()
  const notices = useNotices()
  const known = shallowRef<ViewsAnswer | null>(null)
  const problem = ref('')
  /** The video that `known` is about. */
  const of = ref('')

  /** Why the channel's other videos could not be asked for. */
  const others = ref('')
  /** The last days, so many of them. */
  const length = ref(90)
  const numbered = <Day extends { day: string }>(list: readonly Day[]) =>
    list.map(each => ({ ...each, day: dayNamed(each.day) }))
  const span = computed(
    () => known.value && spanOf(numbered(known.value.days), numbered(known.value.referrers), length.value),
  )

  /** @param anew asks the site also where it told today. */
  async function load(anew = false) {
    const id = ranks.video
    if (!id) return
    try {
      const query = { workspace: workspace.id, anew: anew ? '1' : undefined }
      const found = await api('POST /api/videos/:id/views', { params: { id }, query })
      if (id !== ranks.video) return
      known.value = found
      of.value = id
      problem.value = ''
    } catch (error) {
      if (id === ranks.video) problem.value = messageOf(error)
    }
  }
  /** The channel's other videos are asked for as well, in a job: it is judged beside them. */
  async function loadOthers() {
    try {
      await api('POST /api/videos/views', { query: { workspace: workspace.id } })
      others.value = ''
    } catch (error) {
      others.value = messageOf(error)
    }
  }
  /** Shows the figures of the video that is chosen, from now on. @returns how to stop. */
  function follow() {
    const ends = [
      watch(
        () => ranks.video,
        id => {
          if (id !== of.value) known.value = null
          problem.value = ''
          void load()
        },
        { immediate: true },
      ),
      watch(
        () => useChanges().revisions.ranks,
        () => void load(),
      ),
    ]
    void loadOthers()
    return () => {
      for (const end of ends) end()
    }
  }
  const changed = useMutation(() => load())
  const drop = (id: string, plan: string) =>
    api('DELETE /api/videos/:id/planned', { params: { id }, query: { plan, workspace: workspace.id } })
  return {
    known,
    problem,
    others,
    length,
    span,
    load,
    follow,
    /** Plans a change of the video that is shown. */
    plan: (body: NewPlan) =>
      changed(async () => {
        const params = { id: ranks.video }
        const { id } = await api('POST /api/videos/:id/planned', { params, body: { ...body, workspace: workspace.id } })
        notices.show(`Planned for ${dayOnly(dayNamed(body.day))}.`, {
          undo: async () => {
            await drop(params.id, id)
            await load()
          },
        })
      }),
    /** Keeps how far the video that is shown is watched. @returns whether it is saved. */
    saveRetention: async (retention: number[], source: string): Promise<boolean> => {
      let saved = false
      await changed(async () => {
        const params = { id: ranks.video }
        const put = (tenths: number[], by: string) =>
          api('PUT /api/videos/:id/retention', {
            params,
            body: { retention: tenths, source: by, workspace: workspace.id },
          })
        const told = known.value?.source ?? source
        const { before } = await put(retention, source)
        saved = true
        notices.show(
          'Audience retention saved.',
          before
            ? {
                undo: async () => {
                  await put(before, told)
                  await load()
                },
              }
            : {},
        )
      })
      return saved
    },
    /** Removes a plan; what was changed stays. */
    unplan: (plan: string) => changed(() => drop(ranks.video, plan)),
  }
})
