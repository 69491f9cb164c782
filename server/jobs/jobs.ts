import { v7 as uuid } from 'uuid'
import type { JobState } from '../../shared/jobs'
import type { Db } from '../data/open'

type Listener = (event: { name: string; data: unknown }) => void
export type JobWork = (signal: AbortSignal) => AsyncIterable<unknown>

/** Jobs listed, and ended ones whose rows can still be listened to; so many rows in all. */
const LISTED = 30
const ROWS = 50_000
/** Ended jobs that are remembered. */
const KEPT = 100
/** How often at most the progress is written down. */
const WRITE_MS = 1000

interface Job {
  state: JobState
  rows: unknown[]
  stop: AbortController
  listeners: Set<Listener>
  written: number
}
interface JobRow {
  id: string
  kind: JobState['kind']
  title: string
  state: JobState['state']
  done: number
  total: number
  started_at: number
  ended_at: number | null
  problem: string | null
}

const toState = ({ id, kind, title, state, done, total, started_at, ended_at, problem }: JobRow): JobState => ({
  id,
  kind,
  title,
  state,
  done,
  total,
  startedAt: started_at,
  endedAt: ended_at,
  problem,
})

/**
 * Long work that outlives the request that began it and the window that shows it: progress, rows as they
 * come, and a stop that keeps what is done. What was asked for is written down, so that work cut off by
 * the end of the program can be taken up again.
 */
export class Jobs {
  private readonly jobs = new Map<string, Job>()
  private readonly put
  private readonly one
  private readonly newest
  private readonly putInput
  private readonly inputOf
  private readonly dropInput
  private readonly prune
  private closing = false

  /** @param changed called when a job begins or ends. */
  constructor(
    private readonly db: Db,
    private readonly changed: () => void = () => undefined,
  ) {
    this.put = db.prepare(`INSERT INTO job (id, kind, title, state, done, total, started_at, ended_at, problem)
        VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)
      ON CONFLICT (id) DO UPDATE
      SET state = excluded.state, done = excluded.done, total = excluded.total, started_at = excluded.started_at, ended_at = excluded.ended_at, problem = excluded.problem`)
    this.one = db.prepare<[string], JobRow>('SELECT * FROM job WHERE id = ?')
    this.newest = db.prepare<[], JobRow>(`SELECT * FROM job ORDER BY started_at DESC, id DESC LIMIT ${LISTED}`)
    this.putInput = db.prepare('INSERT OR REPLACE INTO job_input (job_id, input) VALUES (?, ?)')
    this.inputOf = db.prepare<[string], { input: string }>('SELECT input FROM job_input WHERE job_id = ?')
    this.dropInput = db.prepare('DELETE FROM job_input WHERE job_id = ?')
    this.prune = db.prepare(
      `DELETE FROM job WHERE id IN (SELECT id FROM job WHERE ended_at IS NOT NULL ORDER BY ended_at DESC
        LIMIT -1 OFFSET ${KEPT})`,
    )
    db.prepare("UPDATE job SET state = 'interrupted', ended_at = ? WHERE state = 'running'").run(Date.now())
  }

  /**
   * Starts work over `total` things; each yielded row counts one.
   * @param input what the work was asked for, to begin it again by.
   * @param id of a job that was interrupted, to go on under it.
   */
  start(
    kind: JobState['kind'],
    title: string,
    input: unknown,
    total: number,
    work: JobWork,
    id: string = uuid(),
  ): JobState {
    const job: Job = {
      state: { id, kind, title, state: 'running', done: 0, total, startedAt: Date.now(), endedAt: null, problem: null },
      rows: [],
      stop: new AbortController(),
      listeners: new Set(),
      written: 0,
    }
    this.jobs.set(id, job)
    this.write(job)
    this.putInput.run(id, JSON.stringify(input))
    this.forget()
    this.changed()
    void this.run(job, work)
    return { ...job.state }
  }

  private async run(job: Job, work: JobWork): Promise<void> {
    try {
      for await (const row of work(job.stop.signal)) {
        job.rows.push(row)
        job.state.done++
        this.notify(job, 'row', row)
        if (Date.now() - job.written > WRITE_MS) this.write(job)
        if (job.stop.signal.aborted) break
      }
      job.state.state = job.stop.signal.aborted ? this.cutOff() : 'done'
    } catch (error) {
      job.state.state = job.stop.signal.aborted ? this.cutOff() : 'failed'
      job.state.problem = job.stop.signal.aborted ? null : (error as Error).message
      if (!job.stop.signal.aborted) console.error(`The job “${job.state.title}” failed:`, error)
    }
    job.state.endedAt = Date.now()
    this.write(job)
    // What is done is not taken up again.
    if (this.db.open && job.state.state === 'done') this.dropInput.run(job.state.id)
    if (this.db.open) this.prune.run()
    this.notify(job, 'end', job.state)
    this.changed()
    job.listeners.clear()
  }

  private cutOff(): 'stopped' | 'interrupted' {
    return this.closing ? 'interrupted' : 'stopped'
  }

  private write(job: Job): void {
    if (!this.db.open) return
    const { id, kind, title, state, done, total, startedAt, endedAt, problem } = job.state
    this.put.run(id, kind, title, state, done, total, startedAt, endedAt, problem)
    job.written = Date.now()
  }

  private notify(job: Job, name: string, data: unknown): void {
    for (const listener of job.listeners) listener({ name, data })
  }

  /** The newest jobs, whoever began them. */
  list(): JobState[] {
    return this.newest
      .all()
      .map(row => this.jobs.get(row.id)?.state ?? toState(row))
      .map(state => ({ ...state }))
  }

  get(id: string): JobState | null {
    const job = this.jobs.get(id)
    if (job) return { ...job.state }
    const row = this.one.get(id)
    return row ? toState(row) : null
  }

  /** What a job was asked for, to take it up again; `null` when it is done or unknown. */
  input(id: string): unknown {
    const row = this.inputOf.get(id)
    return row ? (JSON.parse(row.input) as unknown) : null
  }

  /** Stops a job; rows done so far stay. @returns its state, or `null` when unknown. */
  stop(id: string): JobState | null {
    this.jobs.get(id)?.stop.abort()
    return this.get(id)
  }

  /** Stops all, for the end of the program: they count as interrupted. */
  close(): void {
    this.closing = true
    for (const job of this.jobs.values()) if (job.state.endedAt === null) job.stop.abort()
  }

  /** Tells all rows so far and then each new one. @returns how to stop listening, or `null`. */
  listen(id: string, listener: Listener): (() => void) | null {
    const job = this.jobs.get(id)
    if (!job) {
      // Its rows are gone with the program that worked on it; the results are in the store.
      const state = this.get(id)
      if (state) listener({ name: 'end', data: state })
      return state ? () => undefined : null
    }
    for (const row of job.rows) listener({ name: 'row', data: row })
    if (job.state.endedAt !== null) listener({ name: 'end', data: job.state })
    else job.listeners.add(listener)
    return () => job.listeners.delete(listener)
  }

  private forget(): void {
    let rows = 0
    for (const [i, job] of [...this.jobs.values()]
      .filter(each => each.state.endedAt !== null)
      .reverse()
      .entries()) {
      rows += job.rows.length
      if (i >= LISTED || rows > ROWS) this.jobs.delete(job.state.id)
    }
  }
}
