import { spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { DEMO, HOME } from './startApp'

/** Makes the demo data all tests copy, unless it is there and newer than what makes it. */
export default function demoData() {
  const tool = join(HOME, '.output/tools/demo.mjs')
  const made = join(DEMO, 'fonetra.sqlite')
  if (existsSync(made) && statSync(made).mtimeMs > statSync(tool).mtimeMs) return
  rmSync(DEMO, { recursive: true, force: true })
  mkdirSync(DEMO, { recursive: true })
  const run = spawnSync(process.execPath, [tool, DEMO], { cwd: HOME, stdio: 'inherit' })
  if (run.status !== 0) throw new Error('The demo data could not be made.')
}
