import type { Db } from './open'

/** The file of the index that fits the tables, and the phrases that changed since it was begun. */
export interface FittingSnapshot {
  mark: string
  changed: number[]
}
/** More phrases that changed are not followed: the index is read from the tables then. */
export const MOST_FOLLOWED = 20_000

/** Reads which file of the index fits; also over a connection that only reads. @returns `null` where none does. */
export function fittingSnapshot(db: Db): FittingSnapshot | null {
  const row = db
    .prepare<[], { mark: string | null; least: number | null }>(
      'SELECT mark, least FROM index_snapshot WHERE follows = 1',
    )
    .get()
  if (row?.mark == null || row.least === null) return null
  const changed = db
    .prepare<[number], number>('SELECT phrase_id FROM index_change WHERE generation >= ? ORDER BY phrase_id')
    .pluck()
    .all(row.least)
  return { mark: row.mark, changed }
}

export type IndexSnapshotStore = ReturnType<typeof indexSnapshotStore>

/** Which file of the index of phrases fits the tables. The tables note by themselves what changes. */
export function indexSnapshotStore(db: Db) {
  const begin = db
    .prepare<[], number>('UPDATE index_snapshot SET generation = generation + 1, follows = 1 RETURNING generation')
    .pluck()
  const fits = db.prepare('UPDATE index_snapshot SET mark = ?, least = ? WHERE generation = ? AND follows = 1')
  const drop = db.prepare('DELETE FROM index_change WHERE generation < ?')
  const unfollow = db.prepare('UPDATE index_snapshot SET follows = 0, mark = NULL, least = NULL')
  const dropAll = db.prepare('DELETE FROM index_change')
  const follows = db.prepare<[], 0 | 1>('SELECT follows FROM index_snapshot').pluck()
  const noted = db
    .prepare<[], number>(`SELECT count(*) FROM (SELECT 1 FROM index_change LIMIT ${MOST_FOLLOWED + 1})`)
    .pluck()
  return {
    /** Called before the index is written: what changes from now on is not in it. @returns what it is begun as. */
    begin: (): number => begin.get()!,
    /** The index is written. @param mark its own. @param begun as `begin` said. */
    fits: db.transaction((mark: string, begun: number): void => {
      if (fits.run(mark, begun, begun).changes) drop.run(begun)
    }).immediate,
    /** Follows changes no longer where they are too many: each takes time, and the index is read anew sooner. */
    unfollowMany: (): void => {
      if (!follows.get() || noted.get()! <= MOST_FOLLOWED) return
      db.transaction(() => {
        unfollow.run()
        dropAll.run()
      }).immediate()
    },
  }
}
