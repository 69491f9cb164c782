import { v7 as uuid } from 'uuid'
import type { ChangedList, FilterSet, ListLine, ListPhrase, TakenPhrase } from '../../shared/lists'
import type { Db } from './open'
import type { PhraseStore } from './phrases'

interface ListRow {
  id: string
  workspace_id: string
  name: string
  note: string
  updated_at: number
  phrases: number
  revision: number
}

/**
 * What a list takes. `revision` is that of the list the change was made from: what overwrites something is refused when
 * it is another one by now.
 */
export interface ListChange {
  name?: string
  note?: string
  add: string[]
  remove: string[]
  notes: Record<string, string>
  putBack?: TakenPhrase[]
  revision?: number
}
export type ListResult = { kind: 'saved'; list: ChangedList } | { kind: 'stale'; list: ListLine } | { kind: 'absent' }

export interface PhraseNote {
  text: string
  revision: number
}
const NO_NOTE: PhraseNote = { text: '', revision: 0 }

export type ListStore = ReturnType<typeof listStore>

/** Named phrase lists, saved sets of filters and notes on phrases: what a person keeps across briefs. */
export function listStore(db: Db, phrases: PhraseStore, now: () => number = Date.now) {
  const SELECT = 'SELECT l.*, (SELECT count(*) FROM list_phrase p WHERE p.list_id = l.id) AS phrases FROM phrase_list l'
  const all = db.prepare<[string], ListRow>(
    `${SELECT} WHERE l.workspace_id = ? AND l.deleted_at IS NULL ORDER BY l.updated_at DESC, l.id`,
  )
  const one = db.prepare<[string], ListRow>(`${SELECT} WHERE l.id = ? AND l.deleted_at IS NULL`)
  const add = db.prepare(
    'INSERT INTO phrase_list (id, workspace_id, name, created_at, updated_at) VALUES (?, ?, ?, ?, ?)',
  )
  const set = db.prepare(
    `UPDATE phrase_list
      SET name = coalesce(?, name), note = coalesce(?, note), updated_at = ?, revision = revision + ? WHERE id = ?`,
  )
  const mark = db.prepare('UPDATE phrase_list SET deleted_at = ? WHERE id = ? AND (deleted_at IS NULL) = ?')
  const markUnchanged = db.prepare(
    'UPDATE phrase_list SET deleted_at = ? WHERE id = ? AND deleted_at IS NULL AND updated_at = ?',
  )
  const last = db.prepare<[string], { place: number }>(
    'SELECT coalesce(max(place), 0) AS place FROM list_phrase WHERE list_id = ?',
  )
  const put = db.prepare('INSERT OR IGNORE INTO list_phrase (list_id, phrase_id, place, added_at) VALUES (?, ?, ?, ?)')
  const drop = db.prepare<[string, number], { note: string; place: number; added_at: number }>(
    'DELETE FROM list_phrase WHERE list_id = ? AND phrase_id = ? RETURNING note, place, added_at',
  )
  const putBack = db.prepare(
    'INSERT OR IGNORE INTO list_phrase (list_id, phrase_id, note, place, added_at) VALUES (?, ?, ?, ?, ?)',
  )
  const setNote = db.prepare('UPDATE list_phrase SET note = ? WHERE list_id = ? AND phrase_id = ?')
  const held = db.prepare<[string, number, number], { text: string; note: string; added_at: number }>(
    `SELECT p.text, l.note, l.added_at FROM list_phrase l JOIN phrase p ON p.id = l.phrase_id WHERE l.list_id = ?
      ORDER BY l.place LIMIT ? OFFSET ?`,
  )
  const merge = db.prepare(`INSERT OR IGNORE INTO list_phrase (list_id, phrase_id, place, note, added_at)
    SELECT @list, phrase_id, place + @after, note, @at FROM list_phrase WHERE list_id = @from ORDER BY place`)
  const subtract = db.prepare(
    'DELETE FROM list_phrase WHERE list_id = ? AND phrase_id IN (SELECT phrase_id FROM list_phrase WHERE list_id = ?)',
  )
  const sets = db.prepare<[string], { id: string; name: string; query: string }>(
    'SELECT id, name, query FROM filter_set WHERE workspace_id = ? ORDER BY name',
  )
  const addSet = db.prepare('INSERT INTO filter_set (id, workspace_id, name, query, created_at) VALUES (?, ?, ?, ?, ?)')
  const dropSet = db.prepare('DELETE FROM filter_set WHERE id = ?')
  const noteOf = db.prepare<[string, number], { text: string; revision: number }>(
    'SELECT text, revision FROM phrase_note WHERE workspace_id = ? AND phrase_id = ?',
  )
  const putNote = db.prepare(
    'INSERT OR REPLACE INTO phrase_note (workspace_id, phrase_id, text, at, revision) VALUES (?, ?, ?, ?, ?)',
  )

  const toLine = (row: ListRow): ListLine => ({
    id: row.id,
    name: row.name,
    note: row.note,
    phrases: row.phrases,
    updatedAt: row.updated_at,
    revision: row.revision,
  })

  /** @returns those that were not in it. */
  function addAll(id: string, list: readonly string[], language: string): string[] {
    let { place } = last.get(id)!
    return list.filter(phrase => put.run(id, phrases.phraseId(phrase, language), ++place, now()).changes > 0)
  }

  const create = db.transaction(
    (
      workspace: string,
      name: string,
      list: readonly string[],
      language: string,
      from?: { how: 'merge' | 'subtract'; first: string; second: string },
    ): ListLine | null => {
      if (from && (!one.get(from.first) || !one.get(from.second))) return null
      const id = uuid()
      add.run(id, workspace, name, now(), now())
      if (from) {
        merge.run({ list: id, from: from.first, after: 0, at: now() })
        if (from.how === 'merge') merge.run({ list: id, from: from.second, after: last.get(id)!.place, at: now() })
        else subtract.run(id, from.second)
      }
      addAll(id, list, language)
      return toLine(one.get(id)!)
    },
  )

  const patch = db.transaction((id: string, change: ListChange, language: string): ListResult => {
    const before = one.get(id)
    if (!before) return { kind: 'absent' }
    // Adding and taking out go together from two windows; texts would overwrite each other.
    const overwrites = change.name !== undefined || change.note !== undefined || Object.keys(change.notes).length > 0
    if (overwrites && change.revision !== undefined && change.revision !== before.revision)
      return { kind: 'stale', list: toLine(before) }
    set.run(change.name ?? null, change.note ?? null, now(), Number(overwrites), id)
    const taken = change.remove.flatMap((phrase): TakenPhrase[] => {
      const row = drop.get(id, phrases.phraseId(phrase, language))
      return row ? [{ phrase, note: row.note, place: row.place, addedAt: row.added_at }] : []
    })
    // What another window put back meanwhile stays as it wrote it.
    for (const { phrase, note, place, addedAt } of change.putBack ?? [])
      putBack.run(id, phrases.phraseId(phrase, language), note, place, addedAt)
    const added = addAll(id, change.add, language)
    for (const [phrase, note] of Object.entries(change.notes)) setNote.run(note, id, phrases.phraseId(phrase, language))
    return { kind: 'saved', list: { ...toLine(one.get(id)!), added, taken } }
  })

  return {
    lists: (workspace: string): ListLine[] => all.all(workspace).map(toLine),
    list: (id: string): ListLine | null => {
      const row = one.get(id)
      return row ? toLine(row) : null
    },
    /** A new list, perhaps made of two others. `null` when one of those is not there. */
    create: (
      workspace: string,
      name: string,
      list: readonly string[],
      language: string,
      from?: { how: 'merge' | 'subtract'; first: string; second: string },
    ) => create.immediate(workspace, name, list, language, from),
    patch: (id: string, change: ListChange, language: string): ListResult => patch.immediate(id, change, language),
    /** Marks a list deleted; it can be restored. @param unchangedSince leaves one that was changed later. */
    remove: (id: string, unchangedSince?: number): boolean =>
      (unchangedSince === undefined ? mark.run(now(), id, 1) : markUnchanged.run(now(), id, unchangedSince)).changes >
      0,
    restore: (id: string): boolean => mark.run(null, id, 0).changes > 0,
    /**
     * Its phrases in the order they were added.
     * @param limit how many at most, all by default; after so many that are left out.
     */
    phrases: (id: string, { limit = -1, offset = 0 } = {}): ListPhrase[] =>
      held.all(id, limit, offset).map(row => ({ phrase: row.text, note: row.note, addedAt: row.added_at })),
    filterSets: (workspace: string): FilterSet[] =>
      sets.all(workspace).map(row => ({ ...row, query: JSON.parse(row.query) as Record<string, string> })),
    addFilterSet(workspace: string, name: string, query: Record<string, string>): FilterSet {
      const id = uuid()
      addSet.run(id, workspace, name, JSON.stringify(query), now())
      return { id, name, query }
    },
    removeFilterSet: (id: string): boolean => dropSet.run(id).changes > 0,
    /** The note on a phrase, '' for none, with its revision. */
    note: (workspace: string, phraseId: number): PhraseNote => noteOf.get(workspace, phraseId) ?? NO_NOTE,
    /** Keeps a note made from a revision. @returns the note as it is kept, or the other one that was kept meanwhile. */
    setNote: db.transaction(
      (
        workspace: string,
        phraseId: number,
        text: string,
        revision?: number,
      ): { kind: 'saved' | 'stale'; note: PhraseNote } => {
        const before = noteOf.get(workspace, phraseId) ?? NO_NOTE
        if (revision !== undefined && revision !== before.revision && text !== before.text)
          return { kind: 'stale', note: before }
        const note = { text: text.trim() ? text : '', revision: before.revision + 1 }
        // An empty one stays as a row: its revision is still asked for.
        putNote.run(workspace, phraseId, note.text, now(), note.revision)
        return { kind: 'saved', note }
      },
    ),
  }
}
