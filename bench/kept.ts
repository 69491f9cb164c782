import { spawnSync } from 'node:child_process'
import { appendFileSync } from 'node:fs'
import { cpus, release, totalmem } from 'node:os'
import type { Timing } from './measure'

/** This machine in a line. */
export const machine = () =>
  `${cpus().length} × ${cpus()[0]!.model.trim()}, ${Math.round(totalmem() / 2 ** 30)} GB, Linux ${release()}, Node.js ${process.versions.node}`

/** The commit that is built, and whether files were changed since. */
export function commitHere(): string {
  const { stdout, status } = spawnSync('git', ['describe', '--always', '--dirty', '--abbrev=10'], { encoding: 'utf8' })
  return status === 0 ? stdout.trim() : 'unknown'
}

/**
 * Adds what was measured to `bench/kept.jsonl`, a line a run, with the commit and the machine: what is slower today may
 * be so for weeks.
 * @param of what was run. @param yardstick milliseconds; see `yardstick`.
 */
export function keep(of: string, yardstick: number, timings: readonly Timing[], commit = commitHere()): void {
  const round = (ms: number) => Number(ms.toPrecision(4))
  const line = {
    ...{ at: new Date().toISOString(), commit, of, machine: machine(), yardstick: round(yardstick) },
    timings: timings.map(({ name, sizes, runs, median, p95, most }) => ({
      ...{ name, sizes, runs, median: round(median), p95: round(p95), most: round(most) },
    })),
  }
  appendFileSync('bench/kept.jsonl', `${JSON.stringify(line)}\n`)
}
