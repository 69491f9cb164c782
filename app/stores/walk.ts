import { defineStore } from 'pinia'
import { computed, watch } from 'vue'
import { goTo } from '~/composables/address'
import { keptWalk } from '~/composables/keptWalk'
import { WALK_BRIEF, WALK_STEPS } from '~/composables/walkSteps'
import { useBrief } from './brief'
import { useLibrary } from './library'

/** A walk through the job, with a brief of its own: when it ends, the brief is deleted and nothing else has changed. */
export const useWalk = defineStore('walk', () => {
  const library = useLibrary()
  const brief = useBrief()
  const route = useRoute()
  const walk = keptWalk
  const step = computed(() => (walk.value ? (WALK_STEPS[walk.value.at] ?? null) : null))
  const own = computed(() => brief.brief?.id === walk.value?.brief)

  // What was done once stays done: a title that is changed again is no way back.
  watch(
    // Without a walk nothing is followed: every key typed would be.
    () => (walk.value ? [route.path, brief.fields, walk.value.brief, walk.value.at] : null),
    () => {
      const { fields } = brief
      if (!walk.value || !own.value || !fields) return
      const { done } = walk.value
      for (const [i, each] of WALK_STEPS.entries())
        // Steps to come are not done beforehand; those that were skipped hold up none.
        if (i <= walk.value.at && !done.includes(i) && each.done(fields, route.path)) done.push(i)
    },
    { deep: true, immediate: true },
  )

  const placeOf = (i: number) => {
    const { path, query } = WALK_STEPS[i]!.to(brief.fields!)
    return { path, query: { ...query, brief: walk.value!.brief } }
  }

  async function begin() {
    const made = await library.create(WALK_BRIEF)
    await brief.load(made.id)
    walk.value = { brief: made.id, at: 0, done: [] }
    await show(0)
  }

  /** Goes to a step, in the walk's own brief. */
  async function show(at: number) {
    if (!walk.value) return
    await brief.load(walk.value.brief)
    walk.value.at = at
    await goTo(placeOf(at))
  }

  /** Ends it and deletes its brief. */
  async function end() {
    if (!walk.value) return
    const { brief: id } = walk.value
    await brief.flush()
    if (library.briefs.some(each => each.id === id)) await library.remove(id)
    walk.value = null
    await goTo({ path: '/next', query: {} })
  }

  return { walk, step, own, begin, show, end }
})
