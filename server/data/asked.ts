import { DAY } from '../../core/time'
import { relaxedTransaction, type Db } from './open'

export type AskedStore = ReturnType<typeof askedStore>

/** How long to wait before a failed request is repeated, and one that returned nothing. */
export const AGAIN = { failed: 60_000, nothing: DAY } as const

/**
 * What was asked of a service in vain, and when it may be asked for again: otherwise every screen that shows it would
 * ask anew.
 */
export function askedStore(db: Db, now: () => number = Date.now) {
  const find = db.prepare<[string, number], { problem: string | null }>(
    'SELECT problem FROM asked WHERE what = ? AND again_at > ?',
  )
  const put = db.prepare('INSERT OR REPLACE INTO asked (what, again_at, problem) VALUES (?, ?, ?)')
  const dropOld = db.prepare('DELETE FROM asked WHERE again_at < ?')
  const name = (what: readonly string[]) => what.join('\n')
  const putAll = relaxedTransaction(
    db,
    (list: readonly (readonly string[])[], againAt: number, problem: string | null) => {
      for (const what of list) put.run(name(what), againAt, problem)
    },
  )
  return {
    /**
     * Why something is not to be asked for yet: a service's problem, or `null` within for nothing told; `null` when it
     * may be asked for.
     */
    waits: (what: readonly string[]): { problem: string | null } | null => find.get(name(what), now()) ?? null,
    /** Notes that a service returned nothing for these. */
    nothing: (list: readonly (readonly string[])[]) => {
      if (list.length) putAll(list, now() + AGAIN.nothing, null)
    },
    /** Notes that a service failed to tell these. */
    failed: (list: readonly (readonly string[])[], problem: string) => {
      if (list.length) putAll(list, now() + AGAIN.failed, problem)
    },
    forgetOld: () => {
      dropOld.run(now())
    },
  }
}
