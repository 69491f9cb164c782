import { computed, onBeforeUnmount, ref, shallowRef } from 'vue'
import type { JobState } from '../../shared/jobs'
import type { AssessedRow } from '../../shared/phrases'
import { api, apiResponse, messageOf, readLines } from '~/composables/api'
import { useJobs } from '~/stores/jobs'
import { useWorkspace } from '~/stores/workspace'

interface AssessingOptions { region: string | null, language: string, title: string }

/**
 * Assesses phrases whose searches may be unknown, row by row, however many: some hundreds as a stream that ends
 * with the window, thousands as work of the server's own.
 */
export function useAssessing() {
  const workspace = useWorkspace()
  const jobs = useJobs()
  const rows = shallowRef(new Map<string, AssessedRow>())
  const total = ref(0)
  const running = ref(false)
  const problem = ref('')
  const startedAt = ref(0)
  let mine: AbortController | null = null
  let job: JobState | null = null
  let events: EventSource | null = null
  /** Whoever asked has left, perhaps while it was being found out what to assess. */
  let gone = false

  const done = computed(() => rows.value.size)
  /** Seconds left, from the pace so far. */
  const left = computed(() => running.value && done.value ? Math.round((Date.now() - startedAt.value) / done.value * (total.value - done.value) / 1000) : null)

  let waiting: AssessedRow[] = []
  let frame = 0
  /** Rows are shown once a frame: thousands of them must not each draw the table anew. */
  function take(row: AssessedRow) {
    waiting.push(row)
    frame ||= requestAnimationFrame(() => {
      frame = 0
      const next = new Map(rows.value)
      for (const each of waiting) {
        next.set(each.phrase, each)
        if (each.problem) problem.value = each.problem
      }
      waiting = []
      rows.value = next
    })
  }

  async function start(phrases: string[], { region, language, title }: AssessingOptions) {
    if (gone) return
    stop()
    // Rows of the run before that wait for their frame are not this run's.
    waiting = []
    rows.value = new Map()
    total.value = phrases.length
    problem.value = ''
    running.value = true
    startedAt.value = Date.now()
    const own = mine = new AbortController()
    try {
      const response = await apiResponse('/api/phrases/assess', { method: 'POST', body: { phrases, region, language, workspace: workspace.id, learn: true, title }, signal: own.signal })
      if (response.status === 202) await follow((await response.json() as { job: JobState }).job, own.signal)
      else for await (const row of readLines<AssessedRow>(response)) { if (!own.signal.aborted) take(row) }
    } catch (error) {
      if (!own.signal.aborted) problem.value = messageOf(error)
    } finally {
      if (mine === own) running.value = false
    }
  }

  function follow(begun: JobState, signal: AbortSignal): Promise<void> {
    job = begun
    void jobs.follow(begun)
    return new Promise((resolve) => {
      events = new EventSource(`/api/jobs/${begun.id}/events`)
      const end = () => { events?.close(); events = null; job = null; resolve() }
      events.addEventListener('row', event => take(JSON.parse((event as MessageEvent<string>).data) as AssessedRow))
      events.addEventListener('end', end)
      signal.addEventListener('abort', end, { once: true })
    })
  }

  /** Stops the work and keeps what it did. */
  function stop() {
    if (job) void api(`/api/jobs/${job.id}`, { method: 'DELETE' }).catch((error: unknown) => { problem.value = messageOf(error) })
    mine?.abort()
    mine = null
    running.value = false
  }
  onBeforeUnmount(() => {
    gone = true
    // Work of the server's own goes on; the shell shows it.
    job = null
    events?.close()
    mine?.abort()
    cancelAnimationFrame(frame)
  })
  return { rows, total, done, left, running, problem, start, stop }
}

/** Seconds as people wait for them. */
export const leftWords = (seconds: number | null) => seconds === null ? '' : seconds < 5 ? 'a moment left' : seconds < 90 ? `${seconds} s left` : `${Math.round(seconds / 60)} min left`
