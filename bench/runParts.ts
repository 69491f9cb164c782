import { writeFileSync } from 'node:fs'
import demoData from '../tests/e2e/demoData'
import type { Run } from './compare'
import { yardstick, type Timing } from './measure'
import { PARTS } from './parts'

// parts.mjs FILE PART…: runs the parts and writes their timings as JSON.
const [to, ...names] = process.argv.slice(2)
demoData()
const timings: Timing[] = []
const moods = [yardstick()]
for (const name of names) {
  timings.push(...(await PARTS[name]!()))
  moods.push(yardstick())
}
const mood = moods.reduce((sum, each) => sum + each, 0) / moods.length
writeFileSync(to!, JSON.stringify({ yardstick: mood, timings } satisfies Run))
process.exit(0)
