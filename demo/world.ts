import { existsSync, mkdirSync, renameSync, rmSync } from 'node:fs'
import { dirname } from 'node:path'
import { pathToFileURL } from 'node:url'
import { DEMO_SEED, DEMO_SIZE, makeWorld } from '../server/services/standin/world'

/** Makes the made-up world at `file` unless it is there; half-made ones are never left behind. */
export function ensureWorld(file: string, size = DEMO_SIZE, newestDay = Date.now()): void {
  if (existsSync(file)) return
  mkdirSync(dirname(file), { recursive: true })
  const startedAt = Date.now()
  const part = `${file}.part`
  rmSync(part, { force: true })
  console.log('Making the made-up world the demo searches in:')
  makeWorld(part, size, DEMO_SEED, newestDay, what => console.log(`  ${what} …`))
  renameSync(part, file)
  console.log(`  done in ${((Date.now() - startedAt) / 1000).toFixed(1)} s.`)
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) ensureWorld(process.argv[2]!)
