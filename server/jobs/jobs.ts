import { v7 as uuid } from 'uuid'
import type { JobState } from '../../shared/phrases'

type Listener = (event: { name: string, data: unknown }) => void

/** Finished jobs that can still be asked about. */
const KEPT = 50

interface Job { state: JobState, rows: unknown[], stop: AbortController, listeners: Set<Listener> }

/** Long work that outlives the request that began it: progress, rows as they come, and a stop that keeps what is done. */
export class Jobs {
  private readonly jobs = new Map<string, Job>()

  /** Starts work over `total` things; each yielded row counts one. */
  start(kind: JobState['kind'], total: number, work: (signal: AbortSignal) => AsyncIterable<unknown>): JobState {
    const job: Job = {
      state: { id: uuid(), kind, state: 'running', done: 0, total, startedAt: Date.now(), endedAt: null, problem: null },
      rows: [], stop: new AbortController(), listeners: new Set(),
    }
    this.jobs.set(job.state.id, job)
    this.forget()
    void this.run(job, work)
    return { ...job.state }
  }

  private async run(job: Job, work: (signal: AbortSignal) => AsyncIterable<unknown>): Promise<void> {
    try {
      for await (const row of work(job.stop.signal)) {
        job.rows.push(row)
        job.state.done++
        this.tell(job, 'row', row)
        if (job.stop.signal.aborted) break
      }
      job.state.state = job.stop.signal.aborted ? 'stopped' : 'done'
    } catch (error) {
      job.state.state = 'failed'
      job.state.problem = (error as Error).message
    }
    job.state.endedAt = Date.now()
    this.tell(job, 'end', job.state)
    job.listeners.clear()
  }

  private tell(job: Job, name: string, data: unknown): void {
    for (const listener of job.listeners) listener({ name, data })
  }

  get(id: string): JobState | null {
    const job = this.jobs.get(id)
    return job ? { ...job.state } : null
  }

  /** Stops a job; rows done so far stay. @returns its state, or `null` when unknown. */
  stop(id: string): JobState | null {
    this.jobs.get(id)?.stop.abort()
    return this.get(id)
  }

  /** Tells all rows so far and then each new one. @returns how to stop listening, or `null`. */
  listen(id: string, listener: Listener): (() => void) | null {
    const job = this.jobs.get(id)
    if (!job) return null
    for (const row of job.rows) listener({ name: 'row', data: row })
    if (job.state.endedAt !== null) listener({ name: 'end', data: job.state })
    else job.listeners.add(listener)
    return () => job.listeners.delete(listener)
  }

  private forget(): void {
    const ended = [...this.jobs.values()].filter(job => job.state.endedAt !== null)
    for (const job of ended.slice(0, Math.max(0, ended.length - KEPT))) this.jobs.delete(job.state.id)
  }
}
