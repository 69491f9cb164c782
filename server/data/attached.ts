import type { Db } from './open'

/** The live service a person attached: its address, and its key, which no route tells. */
export function attachedStore(db: Db) {
  const row = db.prepare<[], { value: string }>('SELECT value FROM setting WHERE workspace_id = \'\' AND name = \'service\'')
  const put = db.prepare('INSERT OR REPLACE INTO setting (workspace_id, name, value, at) VALUES (\'\', \'service\', ?, ?)')
  const drop = db.prepare('DELETE FROM setting WHERE workspace_id = \'\' AND name = \'service\'')
  return {
    get(): { address: string, key: string | null } | null {
      const found = row.get()
      return found ? JSON.parse(found.value) as { address: string, key: string | null } : null
    },
    set: (address: string, key: string | null) => { put.run(JSON.stringify({ address, key }), Date.now()) },
    forget: () => { drop.run() },
  }
}
export type AttachedStore = ReturnType<typeof attachedStore>
