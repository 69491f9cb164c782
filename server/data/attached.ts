import type { Db } from './open'

/** The live service a person attached: its address, and its key, which no route tells. */
export function attachedStore(db: Db) {
  // What another service told only lately is asked for again; figures and pages stay, with their source.
  const another = ['DELETE FROM asked', 'DELETE FROM look_phrase', 'DELETE FROM look', 'DELETE FROM region_interest', 'DELETE FROM trending', 'UPDATE channel SET listed_at = NULL'].map(sql => db.prepare(sql))
  const row = db.prepare<[], { value: string }>('SELECT value FROM setting WHERE workspace_id = \'\' AND name = \'service\'')
  const put = db.prepare('INSERT OR REPLACE INTO setting (workspace_id, name, value, at) VALUES (\'\', \'service\', ?, ?)')
  const drop = db.prepare('DELETE FROM setting WHERE workspace_id = \'\' AND name = \'service\'')
  return {
    get(): { address: string, key: string | null } | null {
      const found = row.get()
      return found ? JSON.parse(found.value) as { address: string, key: string | null } : null
    },
    set: db.transaction((address: string, key: string | null) => {
      put.run(JSON.stringify({ address, key }), Date.now())
      for (const statement of another) statement.run()
    }),
    forget: db.transaction(() => {
      drop.run()
      for (const statement of another) statement.run()
    }),
  }
}
export type AttachedStore = ReturnType<typeof attachedStore>
