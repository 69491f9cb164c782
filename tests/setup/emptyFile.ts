import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { openUserData } from '../../server/data/open'

/** Bytes of a user's file with nothing in it: every table takes some. A full one is made by little more than these. */
export function emptyFileBytes(migrations: string): number {
  const folder = mkdtempSync(join(tmpdir(), 'fonetra-empty-'))
  const db = openUserData(join(folder, 'empty.sqlite'), { migrations })
  const bytes = Number(db.pragma('page_count', { simple: true })) * Number(db.pragma('page_size', { simple: true }))
  db.close()
  rmSync(folder, { recursive: true })
  return bytes
}
