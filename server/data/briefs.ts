import { DAY } from '../../core/time'
import { createHash } from 'node:crypto'
import { v7 as uuid } from 'uuid'
import { z } from 'zod'
import {
  BRIEF_FIELDS,
  briefFieldsSchema,
  copiedFields,
  emptyFields,
  fieldOf,
  type BriefField,
  type BriefFields,
} from '../../core/brief/brief'
import type { Brief, FieldConflict, PatchAnswer } from '../../shared/brief'
import { briefItemStore, type BriefItemStore } from './briefItems'
import { briefList } from './briefList'
import { briefScores } from './briefScores'
import type { Db } from './open'
import { fieldHistory, storedValue, type Writer } from './fieldHistory'

/** An edit's answer is kept this long for repeats. */
const EDIT_AGE_MS = 14 * DAY

const ONE_FIELD = new Map(BRIEF_FIELDS.map(field => [field, z.object({ [field]: briefFieldsSchema.shape[field] })]))
/** The value as its field takes it. @throws ZodError that names the field. */
const fitting = (field: BriefField, value: unknown): unknown =>
  (ONE_FIELD.get(field)!.parse({ [field]: value }) as Record<string, unknown>)[field]

/** A digest of an edit's content, whatever the order of its fields. */
const digestOf = (changes: Partial<Record<BriefField, FieldChange>>) =>
  createHash('sha256')
    .update(JSON.stringify(Object.entries(changes).sort(([a], [b]) => (a < b ? -1 : 1))))
    .digest('base64')

/** Where a new brief belongs: a workspace (the first unless named), a series and the place in it; and who makes it. */
export interface BriefHome {
  workspace?: string
  series?: string
  place?: string
  writer?: string | null
}

export interface FieldChange {
  revision: number
  value: unknown
}

export type PatchResult =
  | { kind: 'saved'; answer: PatchAnswer }
  | { kind: 'stale'; conflicts: Partial<Record<BriefField, FieldConflict>> }
  | { kind: 'absent' }
  /** The id is that of another edit: of another brief, or with other content. */
  | { kind: 'other-edit' }

/** A brief as its row stands. */
export interface BriefRow {
  id: string
  workspace_id: string
  series_id: string | null
  series_place: string | null
  created_at: number
  updated_at: number
  deleted_at: number | null
  percent: number | null
  scored_at: number | null
  scored_by: number | null
}
/** A field of a brief as its row stands. */
export interface FieldRow {
  field: BriefField
  revision: number
  value: string
  format: number
  saved_at: number
}
/** Fields as JSON in today's form. */
const EMPTY = Object.fromEntries(Object.entries(emptyFields()).map(([field, value]) => [field, JSON.stringify(value)]))
const NOBODY: Writer = { client: null, writer: null }

export type BriefStore = ReturnType<typeof briefStore>

/**
 * Briefs, field by field. Every method that writes is one transaction, on disk when it returns.
 *
 * @param now the clock, in UTC milliseconds; tests pass their own.
 */
export function briefStore(db: Db, now: () => number = Date.now, items: BriefItemStore = briefItemStore(db, now)) {
  const workspace = db.prepare<[], { id: string }>('SELECT id FROM workspace ORDER BY created_at LIMIT 1')
  const addWorkspace = db.prepare(
    'INSERT INTO workspace (id, name, channel_id, time_zone, created_at) VALUES (?, ?, NULL, ?, ?)',
  )
  const addBrief = db.prepare(
    'INSERT INTO brief (id, workspace_id, created_at, updated_at, series_id, series_place) VALUES (?, ?, ?, ?, ?, ?)',
  )
  const row = db.prepare<[string], BriefRow>('SELECT * FROM brief WHERE id = ?')
  const fieldRows = db.prepare<[string], FieldRow>(
    'SELECT field, revision, value, format, saved_at FROM brief_field WHERE brief_id = ?',
  )
  const savedAt = db.prepare<[string, string], { saved_at: number }>(
    'SELECT saved_at FROM brief_field WHERE brief_id = ? AND field = ?',
  )
  const putField = db.prepare(`
    INSERT INTO brief_field (brief_id, field, revision, value, format, saved_at) VALUES (?, ?, ?, ?, ?, ?)
    ON CONFLICT (brief_id, field) DO UPDATE SET revision = excluded.revision, value = excluded.value,
      format = excluded.format, saved_at = excluded.saved_at`)
  const touch = db.prepare('UPDATE brief SET updated_at = ? WHERE id = ?')
  const mark = db.prepare('UPDATE brief SET deleted_at = ? WHERE id = ? AND (deleted_at IS NULL) = ?')
  const markUnchanged = db.prepare(
    'UPDATE brief SET deleted_at = ? WHERE id = ? AND deleted_at IS NULL AND updated_at = ?',
  )
  const drop = db.prepare('DELETE FROM brief WHERE id = ? AND deleted_at IS NOT NULL')
  const editAnswer = db.prepare<[string], { brief_id: string; answer: string; digest: string | null }>(
    'SELECT brief_id, answer, digest FROM brief_edit WHERE id = ?',
  )
  const addEdit = db.prepare('INSERT INTO brief_edit (id, brief_id, answer, saved_at, digest) VALUES (?, ?, ?, ?, ?)')
  const dropEdits = db.prepare('DELETE FROM brief_edit WHERE saved_at < ?')
  const history = fieldHistory(db)

  function workspaceId(at: number): string {
    const known = workspace.get()
    if (known) return known.id
    const id = uuid()
    addWorkspace.run(id, 'My channel', 'UTC', at)
    return id
  }

  function toBrief(found: BriefRow, rows: FieldRow[]): Brief {
    const fields = emptyFields() as Record<BriefField, unknown>
    const revisions = Object.fromEntries(BRIEF_FIELDS.map(field => [field, 0])) as Record<BriefField, number>
    for (const each of rows) {
      fields[each.field] = storedValue(each)
      revisions[each.field] = each.revision
    }
    return {
      id: found.id,
      workspaceId: found.workspace_id,
      seriesId: found.series_id,
      seriesPlace: found.series_place,
      createdAt: found.created_at,
      updatedAt: found.updated_at,
      deletedAt: found.deleted_at,
      fields: fields as unknown as BriefFields,
      revisions,
    }
  }

  function get(id: string): Brief | null {
    const found = row.get(id)
    return found ? toBrief(found, fieldRows.all(id)) : null
  }

  const save = (id: string, field: BriefField, revision: number, value: string, at: number) => {
    putField.run(id, field, revision, value, fieldOf(field).format, at)
  }

  const create = db.transaction(
    (
      given: Partial<BriefFields>,
      id: string = uuid(),
      { workspace, series, place, writer = null }: BriefHome = {},
    ): Brief => {
      const known = get(id)
      if (known) return known
      const at = now()
      addBrief.run(id, workspace ?? workspaceId(at), at, at, series ?? null, place ?? null)
      for (const [field, value] of Object.entries(briefFieldsSchema.partial().parse(given)) as [
        BriefField,
        unknown,
      ][]) {
        const text = JSON.stringify(value)
        save(id, field, 1, text, at)
        if (text !== EMPTY[field]) history.record(id, field, text, { client: null, writer }, at)
      }
      return get(id)!
    },
  )

  const patch = db.transaction(
    (
      id: string,
      editId: string,
      changes: Partial<Record<BriefField, FieldChange>>,
      by: Writer = NOBODY,
    ): PatchResult => {
      const found = row.get(id)
      if (!found || found.deleted_at !== null) return { kind: 'absent' }
      const before = editAnswer.get(editId)
      const digest = digestOf(changes)
      if (before && (before.brief_id !== id || (before.digest !== null && before.digest !== digest)))
        return { kind: 'other-edit' }
      if (before) return { kind: 'saved', answer: JSON.parse(before.answer) as PatchAnswer }
      const at = now()
      const saved = new Map(fieldRows.all(id).map(each => [each.field, each]))
      const conflicts: Partial<Record<BriefField, FieldConflict>> = {}
      const revisions: Partial<Record<BriefField, number>> = {}
      const due: [BriefField, string, number][] = []
      for (const [field, change] of Object.entries(changes) as [BriefField, FieldChange][]) {
        const value = fitting(field, change.value)
        const text = JSON.stringify(value)
        const current = saved.get(field)
        const theirs = current ? storedValue(current) : emptyFields()[field]
        const revision = current?.revision ?? 0
        if (text === JSON.stringify(theirs)) revisions[field] = revision
        else if (change.revision !== revision)
          conflicts[field] = {
            revision,
            theirs,
            yours: value,
            savedAt: current?.saved_at ?? found.created_at,
          }
        else due.push([field, text, revision + 1])
      }
      // All or nothing: half an edit saved would be a state that nobody typed.
      if (Object.keys(conflicts).length) return { kind: 'stale', conflicts }
      for (const [field, text, revision] of due) {
        save(id, field, revision, text, at)
        revisions[field] = revision
        history.record(id, field, text, by, at)
      }
      if (due.length) touch.run(at, id)
      const answer: PatchAnswer = { savedAt: due.length ? at : found.updated_at, revisions }
      addEdit.run(editId, id, JSON.stringify(answer), at, digest)
      return { kind: 'saved', answer }
    },
  )

  const createSeries = db.transaction(
    (
      list: readonly { place: string; fields: Partial<BriefFields> }[],
      workspace: string,
      writer: string | null,
    ): Brief[] => {
      const series = uuid()
      return list.map(({ place, fields }) => create(fields, undefined, { workspace, series, place, writer }))
    },
  )

  const duplicate = db.transaction((id: string, writer: string | null): Brief | null => {
    const from = get(id)
    if (!from || from.deletedAt !== null) return null
    const copy = create(
      { ...copiedFields(from.fields), topic: `${from.fields.topic || 'Untitled'} (copy)`.slice(0, 300) },
      undefined,
      { workspace: from.workspaceId, writer },
    )
    items.copy(id, copy.id)
    return copy
  })

  return {
    /** A new brief; with the id of one that exists, that one, so that a repeat makes no second. */
    create: (given: Partial<BriefFields>, id?: string, home?: BriefHome): Brief => create.immediate(given, id, home),
    /** Briefs of one topic for many places, made in one go; they stay a series. */
    createSeries: (
      list: readonly { place: string; fields: Partial<BriefFields> }[],
      workspace: string,
      writer: string | null = null,
    ): Brief[] => createSeries.immediate(list, workspace, writer),
    /** A copy with the same fields and no history. `null` when there is no such brief. */
    duplicate: (id: string, writer: string | null = null): Brief | null => duplicate.immediate(id, writer),
    /** A brief, deleted ones too; `null` for an unknown id. */
    get,
    /**
     * Saves fields, each against the revision it was changed from: all of them or none. A repeat of
     * the same edit id is answered as before and writes nothing.
     * @throws ZodError when a value does not fit its field.
     */
    patch: (id: string, editId: string, changes: Partial<Record<BriefField, FieldChange>>, by?: Writer): PatchResult =>
      patch.immediate(id, editId, changes, by),
    ...briefList(db, toBrief, get),
    ...briefScores(db),
    /**
     * Marks a brief deleted; it can be restored.
     * @param unchangedSince leaves one that was changed later.
     * @returns whether one was deleted.
     */
    remove: (id: string, unchangedSince?: number): boolean =>
      (unchangedSince === undefined ? mark.run(now(), id, 1) : markUnchanged.run(now(), id, unchangedSince)).changes >
      0,
    /** Brings a deleted brief back. @returns whether there was one. */
    restore: (id: string): boolean => mark.run(null, id, 0).changes > 0,
    /** Deletes for good a brief marked deleted, with its history. @returns whether there was one. */
    purge: (id: string): boolean => drop.run(id).changes > 0,
    /** Earlier values of a field, newest first, 200 at most. */
    history: history.entries,
    /** When a field was last changed, and whether a value stood in it before. */
    standing: (id: string, field: BriefField, value: unknown): { changedAt: number; before: boolean } => ({
      changedAt: savedAt.get(id, field)?.saved_at ?? 0,
      before: history.holds(id, field, value),
    }),
    /** Keeps a version that was typed but lost to another one, so that it can be found again. */
    saveVersion(id: string, field: BriefField, given: unknown, writer: string | null = null): void {
      const value = JSON.stringify(fitting(field, given))
      const current = fieldRows.all(id).find(each => each.field === field)
      const currentBy = { client: null, writer: history.newestWriter(id, field) }
      db.transaction(() => {
        history.add(id, field, value, { client: null, writer }, now())
        // The newest entry of a field is always its current value.
        if (current) history.add(id, field, JSON.stringify(storedValue(current)), currentBy, current.saved_at)
      }).immediate()
    },
    /** Forgets answers to edits too old to be repeated. */
    forgetOldEdits: (): number => dropEdits.run(now() - EDIT_AGE_MS).changes,
  }
}
