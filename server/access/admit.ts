import { createHash } from 'node:crypto'
import { getCookie, getRequestHeader, type H3Event } from 'h3'
import type { Who } from '../../shared/access'
import type { AccessStore } from '../data/accessKeys'
import { keepLast } from '../demand/keepLast'
import { Problem } from '../http/problem'
import { network } from './network'
import { isOpen, mayDo } from './roles'
import { tries } from './tries'

export const COOKIE = 'fonetra'
/** Whoever sits at the machine. */
const HERE: Who = { name: '', role: 'owner' }

/**
 * Keys that came with a request and were checked, by their digest: to check one anew takes as long as a person's
 * sign-in.
 */
const checked = new Map<string, string>()
const CHECKED = 64

async function byKey(event: H3Event, access: AccessStore, key: string): Promise<Who | null> {
  const digest = createHash('sha256').update(key).digest('base64')
  const known = checked.get(digest)
  if (known) return access.holder(known)
  const found = await tries(event, () => access.check(key))
  if (found) keepLast(checked, digest, found.id, CHECKED)
  return found
}

/**
 * Who sends a request: by a key with it, as programs do, or by the cookie of a window signed in. `null` for nobody
 * known.
 */
export async function whoIs(event: H3Event, access: () => AccessStore): Promise<Who | null> {
  if (!network().shared) return HERE
  const [, key] = /^Bearer (\S{1,200})$/u.exec(getRequestHeader(event, 'authorization') ?? '') ?? []
  if (key) return byKey(event, access(), key)
  const token = getCookie(event, COOKIE)
  return token ? access().whoShows(token) : null
}

/** The name to be kept with what a request writes; `null` for who sits at the machine. */
export const writerOf = (event: H3Event): string | null => (event.context.who as Who | undefined)?.name || null

/**
 * Lets a request in, or not.
 * @param path as the route is declared.
 * @throws Problem 401 for nobody known, 403 for whose key does not reach so far.
 */
export async function admit(event: H3Event, path: string, access: () => AccessStore): Promise<void> {
  if (isOpen(path)) return
  const who = await whoIs(event, access)
  if (!who) throw new Problem(401, 'key-needed', 'Sign in with your access key.')
  if (!mayDo(who.role, event.method, path))
    throw new Problem(
      403,
      'not-allowed',
      who.role === 'reader'
        ? 'Your key is read-only. Nothing was changed.'
        : 'Only the owner can do this. Nothing was changed.',
    )
  event.context.who = who
}
