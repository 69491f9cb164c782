import { readFileSync } from 'node:fs'
/** Repeated timings of one thing, in milliseconds. */
export interface Timing {
  name: string
  sizes: string
  runs: number
  median: number
  p95: number
  most: number
  goal: string
  met: boolean
}

export const quantile = (sorted: readonly number[], part: number) =>
  sorted[Math.min(sorted.length - 1, Math.max(0, Math.ceil(sorted.length * part) - 1))]!

/** Median, p95 and largest of timings against a goal, which counts for the p95 unless another is named. */
export function timing(
  name: string,
  sizes: string,
  times: readonly number[],
  goalMs: number | null,
  of: 'median' | 'p95' | 'most' = 'p95',
): Timing {
  const sorted = [...times].sort((a, b) => a - b)
  const figures = { median: quantile(sorted, 0.5), p95: quantile(sorted, 0.95), most: sorted.at(-1)! }
  return {
    name,
    sizes,
    runs: times.length,
    ...figures,
    goal: goalMs === null ? '' : `${of} under ${goalMs.toLocaleString('en')} ms`,
    met: goalMs === null || figures[of] < goalMs,
  }
}

/** Times a piece of work some times over, after as many runs to warm up. */
export async function times(runs: number, warm: number, work: (run: number) => unknown): Promise<number[]> {
  const list: number[] = []
  for (let run = -warm; run < runs; run++) {
    const startedAt = performance.now()
    await work(run)
    if (run >= 0) list.push(performance.now() - startedAt)
  }
  return list
}

function loop(steps: number): number {
  let sum = 0
  for (let i = 0; i < steps; i++) sum = (sum + Math.imul(i, 7)) | 0
  return sum
}

/**
 * How busy the machine itself was: a loop that always does the same, compiled before it is timed, to read the other
 * figures by.
 */
export function yardstick(): number {
  loop(1_000_000)
  loop(1_000_000)
  const list = Array.from({ length: 3 }, () => {
    const startedAt = performance.now()
    loop(50_000_000)
    return performance.now() - startedAt
  })
  return quantile(
    list.sort((a, b) => a - b),
    0.5,
  )
}

const memory = (pid: number, what: string) =>
  Number(new RegExp(`${what}:\\s+(\\d+)`, 'u').exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]) / 1024

/** Memory a process has resident, in MB, as Linux tells it. */
export const resident = (pid: number) => memory(pid, 'VmRSS')
/** The most it has had. */
export const mostResident = (pid: number) => memory(pid, 'VmHWM')
