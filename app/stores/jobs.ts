import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import type { JobState } from '../../shared/jobs'
import { api, messageOf } from '~/composables/api'
import { useChanges } from './changes'
import { useNotices } from './notices'
import { inDigits } from '../../core/text/inWords'

/** How often the progress of running jobs is loaded, in milliseconds. Their start and end are pushed. */
const SOON = 700

/** Work that a screen begins by itself: nobody waits to be told of its end. */
const BY_ITSELF = new Set<JobState['kind']>(['views'])

/** Long work on the server, whichever window began it: it goes on while one looks elsewhere. */
export const useJobs = defineStore('jobs', () => {
  const notices = useNotices()
  const jobs = ref<JobState[]>([])
  const running = computed(() => jobs.value.filter(job => job.state === 'running'))
  const interrupted = computed(() => jobs.value.filter(job => job.state === 'interrupted'))
  /** Grows when work ends, for those who show what it worked on. */
  const ended = ref(0)
  let timer: ReturnType<typeof setTimeout> | undefined

  async function refresh() {
    clearTimeout(timer)
    const before = running.value.map(job => job.id)
    try {
      jobs.value = (await api('GET /api/jobs')).jobs
    } catch {
      /* The server is away: asked again below, and whatever else is wanted says so. */
    }
    for (const job of jobs.value) {
      if (!before.includes(job.id) || job.state === 'running') continue
      ended.value++
      if (job.state === 'failed') notices.show(`${job.title}: ${job.problem ?? 'failed'}`, { serious: true })
      else if (!BY_ITSELF.has(job.kind))
        notices.show(
          `${job.title}: ${job.state === 'done' ? 'done' : `stopped after ${inDigits(job.done)} of ${inDigits(job.total)}, which stay`}.`,
        )
    }
    if (running.value.length) timer = setTimeout(() => void refresh(), SOON)
  }

  watch(
    () => useChanges().revisions.jobs,
    () => void refresh(),
  )

  async function act(work: () => Promise<unknown>) {
    try {
      await work()
    } catch (error) {
      notices.show(messageOf(error), { serious: true })
    }
    await refresh()
  }

  return {
    jobs,
    running,
    interrupted,
    ended,
    refresh,
    stop: (id: string) => act(() => api('DELETE /api/jobs/:id', { params: { id } })),
    resume: (id: string) => act(() => api('POST /api/jobs/:id/resume', { params: { id } })),
    /** Follows work just begun. */
    follow: async (job: JobState) => {
      jobs.value = [job, ...jobs.value]
      await refresh()
    },
  }
})
