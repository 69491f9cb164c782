import { spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'

/** The demo data that the tests of the interface copy. @param home the project's folder. */
export const demoFolder = home => join(home, '.cache/e2e/demo')

/** Makes it, unless it is there and newer than what makes it. */
export function makeDemoData(home) {
  const tool = join(home, '.output/tools/demo.mjs')
  const folder = demoFolder(home)
  const made = join(folder, 'fonetra.sqlite')
  if (existsSync(made) && statSync(made).mtimeMs > statSync(tool).mtimeMs) return
  rmSync(folder, { recursive: true, force: true })
  mkdirSync(folder, { recursive: true })
  const run = spawnSync(process.execPath, [tool, folder], { cwd: home, stdio: 'inherit' })
  if (run.status !== 0) throw new Error('The demo data could not be made.')
}
