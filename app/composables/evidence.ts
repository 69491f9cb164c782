import { computed, onScopeDispose, ref, shallowRef, watch, type Ref } from 'vue'
import type { EvidenceAnswer, EvidencePages } from '../../shared/evidence'
import type { JobState } from '../../shared/jobs'
import { useJobs } from '~/stores/jobs'
import { useNotices } from '~/stores/notices'
import { api, messageOf } from './api'

/** How often the progress is asked for, in milliseconds. */
const SOON = 500

/**
 * What the pages kept say of the checks of a rule set. It is brought up to date by itself where it was worked out
 * before and pages came since.
 */
export function useEvidence(ruleSet: Ref<string>, pages: Ref<EvidencePages>) {
  const answer = shallowRef<EvidenceAnswer | null>(null)
  const problem = ref<string | null>(null)
  const job = shallowRef<JobState | null>(null)
  const query = computed(() => ({ ruleSet: ruleSet.value, ...pages.value }))
  let timer: ReturnType<typeof setTimeout> | undefined
  let asked = 0

  async function load(renew = true) {
    const mine = ++asked
    problem.value = null
    try {
      const found = await api('GET /api/evidence', { query: query.value })
      if (mine !== asked) return
      answer.value = found
      if (renew && found.at !== null && found.unread) await work()
    } catch (error) {
      if (mine === asked) problem.value = messageOf(error)
    }
  }
  async function work() {
    const mine = asked
    try {
      const begun = (await api('POST /api/evidence', { body: query.value })).job
      if (mine !== asked) return
      job.value = begun
      void useJobs().refresh()
      timer = setTimeout(() => void follow(mine, begun.id), SOON)
    } catch (error) {
      if (mine === asked) problem.value = messageOf(error)
    }
  }
  async function follow(mine: number, id: string) {
    if (mine !== asked) return
    try {
      const state = await api('GET /api/jobs/:id', { params: { id } })
      if (mine !== asked) return
      if (state.state === 'running') {
        job.value = state
        timer = setTimeout(() => void follow(mine, id), SOON)
        return
      }
      job.value = null
      if (state.problem) useNotices().show(state.problem, { serious: true })
      await load(false)
    } catch (error) {
      job.value = null
      problem.value = messageOf(error)
    }
  }

  watch(
    query,
    () => {
      clearTimeout(timer)
      job.value = null
      answer.value = null
      void load()
    },
    { immediate: true, deep: true },
  )
  onScopeDispose(() => {
    asked++
    clearTimeout(timer)
  })
  return { answer, problem, job, load, work, stop: () => job.value && useJobs().stop(job.value.id) }
}
