import { fieldOf, upgraded, type BriefField } from '../../core/brief/brief'
import type { HistoryEntry } from '../../shared/brief'
import type { Db } from './open'

/** Saves of one field closer than this are one entry of its history, up to the longest one. */
const PAUSE_MS = 20_000
const LONGEST_MS = 300_000

/** Who writes: the window, and the name on the key; `null` where it is unknown. */
export interface Writer {
  client: string | null
  writer: string | null
}

interface HistoryRow {
  id: number
  field: BriefField
  value: string
  format: number
  client: string | null
  writer: string | null
  begun_at: number
  saved_at: number
}

/** The value of a stored field, in today's form. */
export const storedValue = ({ field, value, format }: Pick<HistoryRow, 'field' | 'value' | 'format'>): unknown =>
  upgraded(field, JSON.parse(value), format)

/** Earlier values of the fields of briefs. Values are JSON in today's form. */
export function fieldHistory(db: Db) {
  const newest = db.prepare<[string, string], HistoryRow>(
    'SELECT * FROM field_history WHERE brief_id = ? AND field = ? ORDER BY id DESC LIMIT 1',
  )
  const select = db.prepare<[string, string], HistoryRow>(
    'SELECT * FROM field_history WHERE brief_id = ? AND field = ? ORDER BY id DESC LIMIT 200',
  )
  const holding = db.prepare<[string, string, string, number], { id: number }>(
    'SELECT id FROM field_history WHERE brief_id = ? AND field = ? AND value = ? AND format = ? LIMIT 1',
  )
  const insert = db.prepare(
    `INSERT INTO field_history (brief_id, field, value, format, client, writer, begun_at, saved_at)
      VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
  )
  const extend = db.prepare('UPDATE field_history SET value = ?, format = ?, saved_at = ? WHERE id = ?')

  function add(id: string, field: BriefField, value: string, { client, writer }: Writer, at: number): void {
    insert.run(id, field, value, fieldOf(field).format, client, writer, at, at)
  }

  return {
    add,
    /** Adds what was saved, or extends the newest entry where one person goes on typing. */
    record(id: string, field: BriefField, value: string, by: Writer, at: number): void {
      const { history, format } = fieldOf(field)
      if (!history) return
      const last = newest.get(id, field)
      if (last?.value === value) return
      // A clock that was set back says nothing of how close two saves are.
      const goesOn =
        last &&
        last.client === by.client &&
        last.writer === by.writer &&
        at >= last.saved_at &&
        at - last.saved_at <= PAUSE_MS &&
        at - last.begun_at <= LONGEST_MS
      if (goesOn) extend.run(value, format, at, last.id)
      else add(id, field, value, by, at)
    },
    /** Whether a value stood in a field before, as far as its history goes. */
    holds: (id: string, field: BriefField, value: unknown): boolean =>
      holding.get(id, field, JSON.stringify(value), fieldOf(field).format) !== undefined,
    newestWriter: (id: string, field: BriefField): string | null => newest.get(id, field)?.writer ?? null,
    /** Earlier values of a field, newest first, 200 at most. */
    entries: (id: string, field: BriefField): HistoryEntry[] =>
      select.all(id, field).map(row => ({
        id: row.id,
        field: row.field,
        value: storedValue(row),
        writer: row.writer,
        begunAt: row.begun_at,
        savedAt: row.saved_at,
      })),
  }
}
