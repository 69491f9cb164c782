import type { Db } from '../data/open'

/**
 * Tables that do not travel: the keys of this machine and who is signed in, work under way, answers kept for repeats,
 * and what the index in memory remembers of its file.
 */
export const LEFT_BEHIND: ReadonlySet<string> = new Set([
  'access_key',
  'session',
  'job',
  'job_input',
  'asked',
  'index_snapshot',
  'index_change',
])

export interface ArchiveTable {
  name: string
  /** Columns in the order of the table, with their declared types. */
  columns: ReadonlyMap<string, string>
}

/** The tables of a data file that an archive holds, by name. */
export function archiveTables(db: Db): ArchiveTable[] {
  const names = db
    .prepare<[], string>(`SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY 1`)
    .pluck()
    .all()
  return names
    .filter(name => !LEFT_BEHIND.has(name))
    .map(name => {
      const columns = db.pragma(`table_info(${name})`) as { name: string; type: string }[]
      return { name, columns: new Map(columns.map(column => [column.name, column.type])) }
    })
}
