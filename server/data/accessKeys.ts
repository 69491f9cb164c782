import { DAY } from '../../core/time'
import Database from 'better-sqlite3'
import { createHash, randomBytes, scrypt, timingSafeEqual } from 'node:crypto'
import { existsSync } from 'node:fs'
import { promisify } from 'node:util'
import type { AccessKey, NewKey, Role, Who } from '../../shared/access'
import type { Db } from './open'

const derive = promisify(scrypt) as (text: string, salt: Buffer, length: number) => Promise<Buffer>
/** Bytes of the part of a key that is secret, and of what is kept of it. */
const SECRET = 20
const HASH = 32
/** A session ends when nobody has used it for so long; that it was used is noted once an hour. */
const SESSION_MS = 30 * DAY
const NOTED_MS = 3_600_000

interface KeyRow {
  id: string
  name: string
  role: Role
  salt: Buffer
  hash: Buffer
  created_at: number
  used_at: number | null
}
const toKey = ({ id, name, role, created_at, used_at }: Omit<KeyRow, 'salt' | 'hash'>): AccessKey => ({
  id,
  name,
  role,
  createdAt: created_at,
  usedAt: used_at,
})
const digestOf = (token: string) => createHash('sha256').update(token).digest()

export type AccessStore = ReturnType<typeof accessStore>

/**
 * Keys of the people who may come in over a network, and the windows they have signed in with.
 * @param now the clock, in UTC milliseconds.
 */
export function accessStore(db: Db, now: () => number = Date.now) {
  const add = db.prepare('INSERT INTO access_key (id, name, role, salt, hash, created_at) VALUES (?, ?, ?, ?, ?, ?)')
  const rows = db.prepare<[], Omit<KeyRow, 'salt' | 'hash'>>(
    'SELECT id, name, role, created_at, used_at FROM access_key ORDER BY created_at, id',
  )
  const row = db.prepare<[string], KeyRow>('SELECT * FROM access_key WHERE id = ?')
  const owners = db.prepare<[], number>("SELECT count(*) FROM access_key WHERE role = 'owner'").pluck()
  const drop = db.prepare('DELETE FROM access_key WHERE id = ?')
  const used = db.prepare('UPDATE access_key SET used_at = ? WHERE id = ?')
  const begin = db.prepare('INSERT INTO session (digest, key_id, seen_at) VALUES (?, ?, ?)')
  const end = db.prepare('DELETE FROM session WHERE digest = ?')
  const forget = db.prepare('DELETE FROM session WHERE seen_at < ?')
  const seen = db.prepare('UPDATE session SET seen_at = ? WHERE digest = ?')
  const signedIn = db.prepare<[Buffer], Who & { key_id: string; seen_at: number }>(
    'SELECT k.name, k.role, s.key_id, s.seen_at FROM session s JOIN access_key k ON k.id = s.key_id WHERE s.digest = ?',
  )

  return {
    /** Creates a key. Its text is returned only here: the store keeps just a hash. */
    async make(name: string, role: Role): Promise<NewKey> {
      const id = randomBytes(5).toString('hex')
      const secret = randomBytes(SECRET).toString('base64url')
      const salt = randomBytes(16)
      const createdAt = now()
      add.run(id, name, role, salt, await derive(secret, salt, HASH), createdAt)
      return { id, name, role, createdAt, usedAt: null, key: `${id}.${secret}` }
    },
    list: (): AccessKey[] => rows.all().map(toKey),
    /**
     * Takes a key back, with every window signed in by it.
     * @param keepsOwner whether the last owner's key stays. @returns `last-owner` for that one, `absent` for an unknown
     * one.
     */
    revoke: db.transaction((id: string, keepsOwner: boolean): 'revoked' | 'last-owner' | 'absent' => {
      const found = row.get(id)
      if (!found) return 'absent'
      if (keepsOwner && found.role === 'owner' && owners.get()! < 2) return 'last-owner'
      drop.run(id)
      return 'revoked'
    }),
    /** The key that a text is; `null` for none. It takes as long either way. */
    async check(text: string): Promise<AccessKey | null> {
      const [id = '', secret = ''] = text.split('.', 2)
      const found = row.get(id)
      const hash = await derive(secret, found?.salt ?? Buffer.alloc(16), HASH)
      if (!found || !timingSafeEqual(hash, found.hash)) return null
      used.run(now(), id)
      return toKey(found)
    },
    /** The name and role of a key checked before; `null` once it is taken back. */
    holder(id: string): Who | null {
      const found = row.get(id)
      return found ? { name: found.name, role: found.role } : null
    },
    /** Signs a window in. @returns the token it shows from then on. */
    begin(keyId: string): string {
      const token = randomBytes(32).toString('base64url')
      forget.run(now() - SESSION_MS)
      begin.run(digestOf(token), keyId, now())
      return token
    },
    /** Who shows a token; `null` for an unknown or an old one. */
    whoShows(token: string): Who | null {
      const digest = digestOf(token)
      const found = signedIn.get(digest)
      if (!found || now() - found.seen_at > SESSION_MS) return null
      if (now() - found.seen_at > NOTED_MS) {
        seen.run(now(), digest)
        used.run(now(), found.key_id)
      }
      return { name: found.name, role: found.role }
    },
    end: (token: string) => {
      end.run(digestOf(token))
    },
  }
}

/** Whether a user's file holds an owner's key; for before it is opened. */
export function hasOwnerKey(file: string): boolean {
  if (!existsSync(file)) return false
  const db = new Database(file, { readonly: true })
  try {
    return (
      Number(db.pragma('user_version', { simple: true })) >= 6 &&
      db.prepare("SELECT 1 FROM access_key WHERE role = 'owner'").get() !== undefined
    )
  } finally {
    db.close()
  }
}
