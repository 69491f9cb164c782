import type { BriefField } from '../../core/brief/brief'
import { WINDOW } from './window'

/** Edits by field, each with the revision it was made from. */
export type Edits = Partial<Record<BriefField, { revision: number; value: unknown }>>

/** Where a window keeps what is not saved yet: by brief, then by window, so that none clears another's. */
const keyOf = (briefId: string, window = '') => `fonetra.unsaved.${briefId}.${window}`
const lockName = (window: string) => `fonetra.window.${window}`

/** Holds a lock as long as this window lives: others tell by it whose unsaved edits are orphans. */
export function holdWindowLock(): void {
  void navigator.locks?.request(lockName(WINDOW), () => new Promise(() => undefined))
}

/** Keeps this window's unsaved edits of a brief in the browser's own storage; none clears them. */
export function storeUnsaved(briefId: string, edits: Edits): void {
  const key = keyOf(briefId, WINDOW)
  if (!Object.keys(edits).length) return localStorage.removeItem(key)
  try {
    localStorage.setItem(key, JSON.stringify(edits))
  } catch {
    /* The browser's storage is full or off: the server's copy is then the only one. */
  }
}

function parsed(text: string | null): Edits {
  try {
    return JSON.parse(text ?? '{}') as Edits
  } catch {
    // Written by something else, or cut off: there is nothing in it to take up.
    return {}
  }
}

/**
 * Finds edits of a brief that this window, or one that is gone, could not save.
 * @returns a function that takes them out of the storage, for when the brief is still the one that is open.
 */
export async function findOrphans(briefId: string): Promise<() => Edits[]> {
  const prefix = keyOf(briefId)
  const keys = Object.keys(localStorage).filter(key => key.startsWith(prefix))
  if (!keys.length) return () => []
  // Without locks, as under a plain address of a network, only this window's own are known to be nobody's.
  const open = navigator.locks ? new Set((await navigator.locks.query()).held?.map(lock => lock.name)) : null
  const orphans = keys.filter(key => {
    const window = key.slice(prefix.length)
    return window === WINDOW || (open !== null && !open.has(lockName(window)))
  })
  return () =>
    orphans.map(key => {
      const edits = parsed(localStorage.getItem(key))
      localStorage.removeItem(key)
      return edits
    })
}
