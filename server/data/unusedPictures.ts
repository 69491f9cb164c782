import Database from 'better-sqlite3'
import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { DAY } from '../../core/time'
import { backupFolder, listBackups } from './backups'
import { faultOf } from './dataProblem'
import { keptPictures, pictureFolder } from './pictures'

/** One that was just sent is not named by anything yet; one that was taken out can be had back for as long. */
const GRACE = 7 * DAY

/**
 * Removes pictures that neither the user's file nor a backup of it has named for a week.
 * @param file the user's. @returns how many were removed. @throws Error where one of the files cannot be read now.
 */
export function removeUnusedPictures(file: string, now: number): number {
  const old = [...keptPictures(pictureFolder(file))].filter(({ at }) => now - at > GRACE)
  if (!old.length) return 0
  const named = new Set(namedIn(file, now))
  for (const { name } of listBackups(file))
    for (const hash of namedInBackup(join(backupFolder(file), name), now)) named.add(hash)
  const unused = old.filter(({ name }) => !named.has(name.split('.')[0]!))
  for (const { path } of unused) rmSync(path, { force: true })
  return unused.length
}

/** A damaged backup cannot be restored: it names nothing that could be needed. */
function namedInBackup(file: string, now: number): string[] {
  try {
    return namedIn(file, now)
  } catch (error) {
    if (faultOf(error) === 'damaged') return []
    throw error
  }
}

/** The hashes a file names, also in what was taken out of late; none where it is from before thumbnails were kept. */
function namedIn(file: string, now: number): string[] {
  const db = new Database(file, { readonly: true })
  try {
    const tables = db.prepare("SELECT count(*) FROM sqlite_schema WHERE name IN ('brief_item', 'brief_field')").pluck()
    if (tables.get() !== 2) return []
    return db
      .prepare<[number], string | null>(
        // In candidates, what they were mended from, and what they were made of.
        `SELECT t.value FROM brief_item i, json_tree(i.value) t
            WHERE i.kind = 'thumbnail' AND (i.deleted_at IS NULL OR i.deleted_at > ?) AND t.key = 'hash'
          UNION SELECT json_extract(value, '$.hash') FROM brief_field WHERE field = 'thumbnail'`,
      )
      .pluck()
      .all(now - GRACE)
      .filter(hash => hash !== null)
  } finally {
    db.close()
  }
}
