import { computed, onBeforeUnmount, ref, shallowRef } from 'vue'
import type { JobState } from '../../shared/jobs'
import type { AssessedRow } from '../../shared/phrases'
import { api, messageOf } from '~/composables/api'
import { useAssessLoop } from '~/composables/assessLoop'
import { useJobs } from '~/stores/jobs'
import { useWorkspace } from '~/stores/workspace'

interface AssessingOptions {
  region: string | null
  language: string
  title: string
}

/**
 * Assesses phrases whose searches may be unknown, row by row, however many: some hundreds as a stream that ends
 * with the window, thousands as work of the server's own.
 */
export function useAssessing() {
  const workspace = useWorkspace()
  const jobs = useJobs()
  const rows = shallowRef(new Map<string, AssessedRow>())
  const total = ref(0)
  const startedAt = ref(0)
  let asked: { phrases: string[]; options: AssessingOptions } | null = null
  let job: JobState | null = null
  /** Whoever asked has left, perhaps while it was being found out what to assess. */
  let gone = false

  const loop = useAssessLoop({
    next: () => asked?.phrases.splice(0) ?? [],
    question: () => ({ ...asked!.options, workspace: workspace.id, learn: true }),
    take: list => {
      const next = new Map(rows.value)
      for (const row of list) next.set(row.phrase, row)
      rows.value = next
    },
    follow,
  })
  const { running, problem } = loop
  const done = computed(() => rows.value.size)
  /** Seconds left, from the pace so far. */
  const left = computed(() =>
    running.value && done.value
      ? Math.round((((Date.now() - startedAt.value) / done.value) * (total.value - done.value)) / 1000)
      : null,
  )

  function start(phrases: string[], options: AssessingOptions) {
    if (gone) return
    stop()
    rows.value = new Map()
    total.value = phrases.length
    startedAt.value = Date.now()
    asked = { phrases: [...phrases], options }
    return loop.run()
  }

  function follow(begun: JobState, take: (row: AssessedRow) => void, signal: AbortSignal): Promise<void> {
    job = begun
    void jobs.follow(begun)
    return new Promise(resolve => {
      const events = new EventSource(`/api/jobs/${begun.id}/events`)
      const end = () => {
        events.close()
        job = null
        resolve()
      }
      events.addEventListener('row', event => take(JSON.parse((event as MessageEvent<string>).data) as AssessedRow))
      events.addEventListener('end', end)
      signal.addEventListener('abort', end, { once: true })
    })
  }

  /** Stops the work and keeps what it did. */
  function stop() {
    if (job)
      void api('DELETE /api/jobs/:id', { params: { id: job.id } }).catch((error: unknown) => {
        problem.value = messageOf(error)
      })
    loop.stop()
  }
  onBeforeUnmount(() => {
    gone = true
    // Work of the server's own goes on; the shell shows it.
    job = null
    loop.stop()
  })
  return { rows, total, done, left, running, problem, start, stop }
}

/** Seconds as people wait for them. */
export const leftWords = (seconds: number | null) =>
  seconds === null
    ? ''
    : seconds < 5
      ? 'a moment left'
      : seconds < 90
        ? `${seconds} s left`
        : `${Math.round(seconds / 60)} min left`
