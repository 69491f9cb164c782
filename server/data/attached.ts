import {
  chmodSync,
  closeSync,
  existsSync,
  fsyncSync,
  ftruncateSync,
  openSync,
  readFileSync,
  rmSync,
  statSync,
  writeSync,
} from 'node:fs'
import type { Db } from './open'

/** A live service that a person attached: its address, and its key, which no route returns. */
export interface Attached {
  address: string
  key: string | null
}

/**
 * Keeps the live service. The key stands in a file of its own that only its owner may read, so that no backup and no
 * export holds it, and it is gone once it is taken away.
 *
 * @param keyFile where the key is kept.
 */
export function attachedStore(db: Db, keyFile: string) {
  const NONE = JSON.stringify({ none: true })
  // What another service told only lately is asked for again; figures and pages stay, with their source.
  const another = [
    'DELETE FROM asked',
    'DELETE FROM look_phrase',
    'DELETE FROM look',
    'DELETE FROM region_interest',
    'DELETE FROM trending',
    'UPDATE channel SET listed_at = NULL',
  ].map(sql => db.prepare(sql))
  const row = db.prepare<[], { value: string }>(
    "SELECT value FROM setting WHERE workspace_id = '' AND name = 'service'",
  )
  const put = db.prepare("INSERT OR REPLACE INTO setting (workspace_id, name, value, at) VALUES ('', 'service', ?, ?)")
  const drop = db.prepare("DELETE FROM setting WHERE workspace_id = '' AND name = 'service'")

  const change = db.transaction((value: string | null) => {
    if (value === null) drop.run()
    else put.run(value, Date.now())
    for (const statement of another) statement.run()
  })

  // An earlier version kept the key in the data file: it moves out, and its traces are overwritten.
  const old = row.get()
  const given = old && old.value !== NONE ? (JSON.parse(old.value) as Attached) : null
  if (given?.key) {
    keepKey(keyFile, given.key)
    db.pragma('secure_delete = ON')
    drop.run()
    put.run(JSON.stringify({ address: given.address }), Date.now())
    db.pragma('wal_checkpoint(TRUNCATE)')
    db.pragma('secure_delete = OFF')
  }

  return {
    get(): Attached | null {
      const found = row.get()
      if (!found || found.value === NONE) return null
      return {
        address: (JSON.parse(found.value) as Attached).address,
        key: existsSync(keyFile) ? readFileSync(keyFile, 'utf8') : null,
      }
    },
    /** Whether no service is asked at all. */
    isNone: (): boolean => row.get()?.value === NONE,
    set(address: string, key: string | null): void {
      if (key) keepKey(keyFile, key)
      else dropKey(keyFile)
      change(JSON.stringify({ address }))
    },
    /** Back to the simulated services, or to none. */
    forget(use: 'simulated' | 'none' = 'simulated'): void {
      dropKey(keyFile)
      change(use === 'none' ? NONE : null)
    },
  }
}
export type AttachedStore = ReturnType<typeof attachedStore>

function keepKey(file: string, key: string): void {
  dropKey(file)
  const handle = openSync(file, 'wx', 0o600)
  try {
    writeSync(handle, key)
    fsyncSync(handle)
  } finally {
    closeSync(handle)
  }
  chmodSync(file, 0o600)
}

function dropKey(file: string): void {
  if (!existsSync(file)) return
  const handle = openSync(file, 'r+')
  try {
    writeSync(handle, Buffer.alloc(statSync(file).size))
    fsyncSync(handle)
    ftruncateSync(handle)
  } finally {
    closeSync(handle)
  }
  rmSync(file)
}
