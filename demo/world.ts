import Database from 'better-sqlite3'
import { existsSync, mkdirSync, renameSync, rmSync } from 'node:fs'
import { dirname } from 'node:path'
import { DEMO_SEED, DEMO_SIZE, WORLD_FORMAT, makeWorld } from '../server/services/standin/world'

/** The format a world was made in; 0 when it is none. */
function formatOf(file: string): number {
  const db = new Database(file, { readonly: true })
  try {
    return Number(
      (db.prepare("SELECT value FROM fact WHERE name = 'format'").get() as { value: string } | undefined)?.value ?? 0,
    )
  } catch {
    // Another kind of file, or one cut off: made anew like an old one.
    return 0
  } finally {
    db.close()
  }
}

/** Whether a world of this format is at `file`. */
export const isWorld = (file: string) => existsSync(file) && formatOf(file) === WORLD_FORMAT

/** Makes the made-up world at `file` unless one of this format is there; half-made ones are never left behind. */
export function ensureWorld(file: string, size = DEMO_SIZE, newestDay = Date.now()): void {
  if (isWorld(file)) return
  mkdirSync(dirname(file), { recursive: true })
  const startedAt = Date.now()
  const part = `${file}.part`
  rmSync(part, { force: true })
  console.log('Making the made-up world the demo searches in:')
  makeWorld(part, size, DEMO_SEED, newestDay, what => console.log(`  ${what} …`))
  renameSync(part, file)
  console.log(`  done in ${((Date.now() - startedAt) / 1000).toFixed(1)} s.`)
}
