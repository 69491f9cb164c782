import type { Db } from './open'

export type PutOffStore = ReturnType<typeof putOffStore>

/** What is not to be proposed for a while, or any more, by the key of each proposal. */
export function putOffStore(db: Db) {
  const put = db.prepare('INSERT OR REPLACE INTO put_off (workspace_id, key, until) VALUES (?, ?, ?)')
  const drop = db.prepare('DELETE FROM put_off WHERE workspace_id = ? AND key = ?')
  const over = db.prepare('DELETE FROM put_off WHERE workspace_id = ? AND until <= ?')
  const of = db
    .prepare<[string, number], string>(
      'SELECT key FROM put_off WHERE workspace_id = ? AND (until IS NULL OR until > ?)',
    )
    .pluck()
  return {
    /** @param until UTC milliseconds; `null` for good. @param now what is over by then is forgotten. */
    put(workspace: string, key: string, until: number | null, now: number): void {
      over.run(workspace, now)
      put.run(workspace, key, until)
    },
    /** @returns whether it was put off. */
    take: (workspace: string, key: string): boolean => drop.run(workspace, key).changes > 0,
    of: (workspace: string, now: number): ReadonlySet<string> => new Set(of.all(workspace, now)),
  }
}
