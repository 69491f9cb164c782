import { writeFileSync } from 'node:fs'
import demoData from '../tests/e2e/demoData'
import { yardstick, type Timing } from './measure'
import { PARTS } from './parts'

/** What one run of some parts gave. */
export interface PartsRun {
  /** Milliseconds; see `yardstick`. */
  yardstick: number
  timings: Timing[]
}

// parts.mjs FILE PART…: runs the parts and writes their timings as JSON.
const [to, ...names] = process.argv.slice(2)
demoData()
const timings: Timing[] = []
for (const name of names) timings.push(...(await PARTS[name]!()))
writeFileSync(to!, JSON.stringify({ yardstick: yardstick(), timings } satisfies PartsRun))
process.exit(0)
