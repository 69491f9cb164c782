import type { Db } from './open'

export type RivalSetStore = ReturnType<typeof rivalSetStore>

/** The channels a workspace watches together. */
export function rivalSetStore(db: Db, now: () => number = Date.now) {
  const put = db.prepare('INSERT OR IGNORE INTO rival_set (workspace_id, channel_id, at) VALUES (?, ?, ?)')
  const drop = db.prepare('DELETE FROM rival_set WHERE workspace_id = ? AND channel_id = ?')
  const has = db.prepare('SELECT 1 FROM rival_set WHERE workspace_id = ? AND channel_id = ?')
  const list = db.prepare<[string], { channel_id: string }>(
    `SELECT r.channel_id FROM rival_set r JOIN channel c ON c.id = r.channel_id WHERE r.workspace_id = ?
      ORDER BY c.subscribers DESC`,
  )
  return {
    /** Watches a channel, or no more. */
    watch(workspace: string, channel: string, on: boolean): void {
      if (on) put.run(workspace, channel, now())
      else drop.run(workspace, channel)
    },
    holds: (workspace: string, channel: string) => has.get(workspace, channel) !== undefined,
    of: (workspace: string) => list.all(workspace).map(row => row.channel_id),
  }
}
