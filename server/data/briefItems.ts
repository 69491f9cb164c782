import { v7 as uuid } from 'uuid'
import { ITEM_KINDS, type ItemKind, type ItemValue } from '../../core/brief/items'
import type { BriefItem } from '../../shared/briefItems'
import type { Db } from './open'

interface ItemRow {
  id: string
  brief_id: string
  kind: ItemKind
  position: number
  revision: number
  value: string
  created_at: number
  saved_at: number
  deleted_at: number | null
}

export interface ItemToSave<Kind extends ItemKind = ItemKind> {
  id: string
  kind: Kind
  /** The revision it was changed from; 0 for a new one. */
  revision: number
  value: ItemValue<Kind>
  /** Where it stands among the others; at the end unless given. */
  position?: number
}

export type ItemResult =
  | { kind: 'saved'; item: BriefItem }
  | { kind: 'stale'; theirs: BriefItem }
  /** The id is that of an item of another brief or kind. */
  | { kind: 'other-item' }
  | { kind: 'full' }

const toItem = ({ id, kind, position, revision, value, created_at, saved_at }: ItemRow): BriefItem => ({
  id,
  kind,
  position,
  revision,
  value: JSON.parse(value) as ItemValue<ItemKind>,
  createdAt: created_at,
  savedAt: saved_at,
})

export type BriefItemStore = ReturnType<typeof briefItemStore>

/** The items of briefs, one by one. Every method that writes is one transaction, on disk when it returns. */
export function briefItemStore(db: Db, now: () => number = Date.now) {
  const all = db.prepare<[string, string], ItemRow>(
    'SELECT * FROM brief_item WHERE brief_id = ? AND kind = ? AND deleted_at IS NULL ORDER BY position, id',
  )
  const one = db.prepare<[string], ItemRow>('SELECT * FROM brief_item WHERE id = ?')
  const last = db
    .prepare<[string, string], number | null>('SELECT max(position) FROM brief_item WHERE brief_id = ? AND kind = ?')
    .pluck()
  const count = db
    .prepare<[string, string], number>(
      'SELECT count(*) FROM brief_item WHERE brief_id = ? AND kind = ? AND deleted_at IS NULL',
    )
    .pluck()
  const put = db.prepare(
    `INSERT INTO brief_item (id, brief_id, kind, position, revision, value, format, created_at, saved_at, deleted_at)
      VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, NULL)
      ON CONFLICT (id) DO UPDATE SET position = excluded.position, revision = excluded.revision, value = excluded.value,
        format = excluded.format, saved_at = excluded.saved_at, deleted_at = NULL`,
  )
  const mark = db.prepare(
    'UPDATE brief_item SET deleted_at = ?, revision = revision + 1 WHERE id = ? AND brief_id = ? AND deleted_at IS NULL',
  )
  const touch = db.prepare('UPDATE brief SET updated_at = ? WHERE id = ?')

  const save = db.transaction((briefId: string, item: ItemToSave): ItemResult => {
    const { id, kind, revision, value } = item
    const known = one.get(id)
    if (known && (known.brief_id !== briefId || known.kind !== kind)) return { kind: 'other-item' }
    const text = JSON.stringify(ITEM_KINDS[kind].schema.parse(value))
    const position = item.position ?? known?.position ?? (last.get(briefId, kind) ?? 0) + 1
    // What is there already is saved already: a repeat after a lost answer writes nothing.
    if (known && known.deleted_at === null && known.value === text && known.position === position)
      return { kind: 'saved', item: toItem(known) }
    if (known && known.revision !== revision) return { kind: 'stale', theirs: toItem(known) }
    if (!known && count.get(briefId, kind)! >= ITEM_KINDS[kind].most) return { kind: 'full' }
    const at = now()
    put.run(id, briefId, kind, position, (known?.revision ?? 0) + 1, text, ITEM_KINDS[kind].format, at, at)
    touch.run(at, briefId)
    return { kind: 'saved', item: toItem(one.get(id)!) }
  })
  const remove = db.transaction((briefId: string, id: string): boolean => {
    const at = now()
    const removed = mark.run(at, id, briefId).changes > 0
    if (removed) touch.run(at, briefId)
    return removed
  })
  const copy = db.transaction((from: string, to: string): void => {
    const at = now()
    for (const kind of Object.keys(ITEM_KINDS) as ItemKind[])
      for (const { position, value } of all.all(from, kind))
        put.run(uuid(), to, kind, position, 1, value, ITEM_KINDS[kind].format, at, at)
  })

  return {
    /** The items of a kind, in order; deleted ones are left out. */
    list: (briefId: string, kind: ItemKind): BriefItem[] => all.all(briefId, kind).map(toItem),
    /**
     * Saves an item against the revision it was changed from, or makes it; one that was deleted comes back.
     * @throws ZodError when the value does not fit its kind.
     */
    save: (briefId: string, item: ItemToSave): ItemResult => save.immediate(briefId, item),
    /** Takes an item out; saving it again brings it back. @returns whether it was there. */
    remove: (briefId: string, id: string): boolean => remove.immediate(briefId, id),
    /** Gives a brief copies of another one's items. */
    copy: (from: string, to: string): void => {
      copy.immediate(from, to)
    },
  }
}
