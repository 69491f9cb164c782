import { ref } from 'vue'
import type { JobState } from '../../shared/jobs'
import type { AssessedRow } from '../../shared/phrases'
import { apiResponse, messageOf, readLines } from './api'

interface AssessLoop {
  /** The phrases to assess next; none ends it. */
  next: () => string[]
  /** How they are asked for. */
  question: () => {
    region: string | null
    language: string
    workspace: string | undefined
    learn?: boolean
    title?: string
  }
  /** Takes rows as they come, together once a frame: each one by itself would draw the table anew. */
  take: (rows: AssessedRow[]) => void
  /** Follows what became work of the server's own. Without it nothing does. */
  follow?: (job: JobState, take: (row: AssessedRow) => void, signal: AbortSignal) => Promise<void>
}

/** Has phrases assessed, one request after the other, row by row and until it is stopped. */
export function useAssessLoop({ next, question, take, follow }: AssessLoop) {
  const running = ref(false)
  const problem = ref('')
  let mine: AbortController | null = null

  async function run(): Promise<void> {
    if (running.value) return
    const own = (mine = new AbortController())
    let waiting: AssessedRow[] = []
    let frame = 0
    const show = () => {
      cancelAnimationFrame(frame)
      frame = 0
      const rows = waiting
      waiting = []
      if (rows.length && !own.signal.aborted) take(rows)
    }
    const put = (row: AssessedRow) => {
      // Rows of a run that was stopped are not the next one's.
      if (own.signal.aborted) return
      waiting.push(row)
      if (row.problem) problem.value = row.problem
      frame ||= requestAnimationFrame(show)
    }
    running.value = true
    problem.value = ''
    try {
      for (let phrases = next(); phrases.length && !own.signal.aborted; phrases = next()) {
        const response = await apiResponse('POST /api/phrases/assess', {
          body: { phrases, ...question() },
          signal: own.signal,
        })
        if (response.status === 202) await follow?.(((await response.json()) as { job: JobState }).job, put, own.signal)
        else for await (const row of readLines<AssessedRow>(response)) put(row)
        show()
      }
    } catch (error) {
      if (!own.signal.aborted) problem.value = messageOf(error)
    } finally {
      cancelAnimationFrame(frame)
      if (mine === own) running.value = false
    }
  }

  /** Stops it; what it did stays. */
  function stop() {
    mine?.abort()
    mine = null
    running.value = false
  }

  return { running, problem, run, stop }
}
