import { v7 as uuid } from 'uuid'
import type { z, ZodType } from 'zod'
import type { Item } from '../../shared/items'
import type { Db } from './open'

/** What is said of each kind: the form of its values, how many an owner may have, whether a copy has them too. */
export type Kinds = Record<string, { schema: ZodType; format: number; most: number; copied: boolean }>
type KindOf<Of extends Kinds> = Extract<keyof Of, string>
type ValueOf<Of extends Kinds, Kind extends KindOf<Of>> = z.infer<Of[Kind]['schema']>

interface ItemRow {
  id: string
  owner: string
  kind: string
  position: number
  revision: number
  value: string
  created_at: number
  saved_at: number
  deleted_at: number | null
}

export interface ItemToSave<Kind extends string = string, Value = unknown> {
  id: string
  kind: Kind
  /** The revision it was changed from; 0 for a new one. */
  revision: number
  value: Value
  /** Where it stands among the others; at the end unless given. */
  position?: number
}

export type ItemResult<Saved = Item> =
  | { kind: 'saved'; item: Saved }
  | { kind: 'stale'; theirs: Saved }
  /** The id is that of an item of another owner or kind. */
  | { kind: 'other-item' }
  | { kind: 'full' }

export interface ItemTable<Of extends Kinds> {
  table: 'brief_item' | 'workspace_item'
  /** The column that names whose they are. */
  owner: 'brief_id' | 'workspace_id'
  kinds: Of
  /** Told of each change, within its transaction. */
  touched?: (owner: string, at: number) => void
}

/**
 * Things of which an owner has many, saved one by one. Every method that writes is one transaction, on disk when it
 * returns.
 */
export function itemStore<Of extends Kinds>(db: Db, given: ItemTable<Of>, now: () => number = Date.now) {
  const { table, owner, kinds, touched = () => undefined } = given
  const ROW = `SELECT id, ${owner} AS owner, kind, position, revision, value, created_at, saved_at, deleted_at FROM ${table}`
  const all = db.prepare<[string, string], ItemRow>(
    `${ROW} WHERE ${owner} = ? AND kind = ? AND deleted_at IS NULL ORDER BY position, id`,
  )
  const withText = db.prepare<[string, string, string], ItemRow>(
    `${ROW} WHERE ${owner} = ? AND kind = ? AND deleted_at IS NULL AND instr(value, ?) ORDER BY position, id`,
  )
  const one = db.prepare<[string], ItemRow>(`${ROW} WHERE id = ?`)
  const last = db
    .prepare<[string, string], number | null>(`SELECT max(position) FROM ${table} WHERE ${owner} = ? AND kind = ?`)
    .pluck()
  const count = db
    .prepare<[string, string], number>(
      `SELECT count(*) FROM ${table} WHERE ${owner} = ? AND kind = ? AND deleted_at IS NULL`,
    )
    .pluck()
  const put = db.prepare(
    `INSERT INTO ${table} (id, ${owner}, kind, position, revision, value, format, created_at, saved_at, deleted_at)
      VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, NULL)
      ON CONFLICT (id) DO UPDATE SET position = excluded.position, revision = excluded.revision, value = excluded.value,
        format = excluded.format, saved_at = excluded.saved_at, deleted_at = NULL`,
  )
  const mark = db.prepare(
    `UPDATE ${table} SET deleted_at = ?, revision = revision + 1 WHERE id = ? AND ${owner} = ? AND deleted_at IS NULL`,
  )

  type Saved<Kind extends KindOf<Of> = KindOf<Of>> = Item<Kind, ValueOf<Of, Kind>>
  const toItem = ({ id, kind, position, revision, value, created_at, saved_at }: ItemRow): Saved => ({
    id,
    kind: kind as KindOf<Of>,
    position,
    revision,
    value: JSON.parse(value) as ValueOf<Of, KindOf<Of>>,
    createdAt: created_at,
    savedAt: saved_at,
  })

  function write(of: string, item: ItemToSave<KindOf<Of>>): ItemResult<Saved> {
    const { id, kind, revision, value } = item
    const { schema, most, format } = kinds[kind]!
    const known = one.get(id)
    if (known && (known.owner !== of || known.kind !== kind)) return { kind: 'other-item' }
    const text = JSON.stringify(schema.parse(value))
    const position = item.position ?? known?.position ?? (last.get(of, kind) ?? 0) + 1
    // What is there already is saved already: a repeat after a lost answer writes nothing.
    if (known && known.deleted_at === null && known.value === text && known.position === position)
      return { kind: 'saved', item: toItem(known) }
    if (known && known.revision !== revision) return { kind: 'stale', theirs: toItem(known) }
    if ((!known || known.deleted_at !== null) && count.get(of, kind)! >= most) return { kind: 'full' }
    const at = now()
    put.run(id, of, kind, position, (known?.revision ?? 0) + 1, text, format, at, at)
    touched(of, at)
    return { kind: 'saved', item: toItem(one.get(id)!) }
  }
  const save = db.transaction(write)
  const remove = db.transaction((of: string, id: string): boolean => {
    const at = now()
    const removed = mark.run(at, id, of).changes > 0
    if (removed) touched(of, at)
    return removed
  })
  const copy = db.transaction((from: string, to: string): void => {
    const at = now()
    for (const [kind, { format, copied }] of Object.entries(kinds))
      if (copied)
        for (const { position, value } of all.all(from, kind))
          put.run(uuid(), to, kind, position, 1, value, format, at, at)
  })

  return {
    /** The items of a kind, in order; deleted ones are left out. */
    list: <Kind extends KindOf<Of>>(of: string, kind: Kind): Saved<Kind>[] =>
      all.all(of, kind).map(toItem) as Saved<Kind>[],
    /** Those among them whose stored form holds a text, such as an id. */
    holding: <Kind extends KindOf<Of>>(of: string, kind: Kind, text: string): Saved<Kind>[] =>
      withText.all(of, kind, text).map(toItem) as Saved<Kind>[],
    /** An item with whose it is; `null` for one that is not there, or deleted unless `deleted`. */
    get<Kind extends KindOf<Of>>(id: string, kind: Kind, deleted = false): { owner: string; item: Saved<Kind> } | null {
      const row = one.get(id)
      if (!row || row.kind !== kind || (row.deleted_at !== null && !deleted)) return null
      return { owner: row.owner, item: toItem(row) as Saved<Kind> }
    },
    /**
     * Saves an item against the revision it was changed from, or makes it; one that was deleted comes back.
     * @throws ZodError when the value does not fit its kind.
     */
    save: <Kind extends KindOf<Of>>(of: string, item: ItemToSave<Kind>) =>
      save.immediate(of, item) as ItemResult<Saved<Kind>>,
    /** Takes an item out; saving it again brings it back. @returns whether it was there. */
    remove: (of: string, id: string): boolean => remove.immediate(of, id),
    /** Gives an owner copies of another one's items, of the kinds that are copied. */
    copy: (from: string, to: string): void => {
      copy.immediate(from, to)
    },
  }
}
