import type { EditedValue } from '../../core/draft/manyEdit'
import type { PartState, RunEdit } from '../../shared/editMany'
import type { Db } from './open'

/** What a change makes of a video. */
export interface EditPart {
  place: number
  video: string
  before: EditedValue
  after: EditedValue
  state: PartState
  problem: string | null
}
export interface KeptRun {
  id: string
  workspaceId: string
  at: number
  edit: RunEdit
  undoneAt: number | null
}
interface RunRow {
  id: string
  workspace_id: string
  at: number
  edit: string
  undone_at: number | null
}
interface PartRow {
  place: number
  video: string
  before: string
  after: string
  state: PartState
  problem: string | null
}

/** Changes of a workspace that are remembered, with all that they changed. */
const KEPT = 50
/** Reasons that are told. */
const REASONS = 100

const toRun = ({ id, workspace_id, at, edit, undone_at }: RunRow): KeptRun => ({
  id,
  workspaceId: workspace_id,
  at,
  edit: JSON.parse(edit) as RunEdit,
  undoneAt: undone_at,
})

export type EditRunStore = ReturnType<typeof editRunStore>

/** One change made in many videos, video by video, so that it can be gone on with and taken back. */
export function editRunStore(db: Db) {
  const addRun = db.prepare('INSERT INTO edit_run (id, workspace_id, at, edit) VALUES (?, ?, ?, ?)')
  const addPart = db.prepare(
    "INSERT INTO edit_part (run_id, place, video, before, after, state) VALUES (?, ?, ?, ?, ?, 'waiting')",
  )
  const prune = db.prepare(
    `DELETE FROM edit_run WHERE id IN (SELECT id FROM edit_run WHERE workspace_id = ?
      ORDER BY at DESC, id DESC LIMIT -1 OFFSET ${KEPT})`,
  )
  const one = db.prepare<[string], RunRow>('SELECT * FROM edit_run WHERE id = ?')
  const of = db.prepare<[string], RunRow>('SELECT * FROM edit_run WHERE workspace_id = ? ORDER BY at DESC, id DESC')
  const counts = db
    .prepare<[string], [PartState, number]>('SELECT state, count(*) FROM edit_part WHERE run_id = ? GROUP BY state')
    .raw()
  const reasons = db.prepare<[string], { video: string; problem: string }>(
    `SELECT video, problem FROM edit_part WHERE run_id = ? AND problem IS NOT NULL ORDER BY place LIMIT ${REASONS}`,
  )
  const next = db.prepare<[string, number, PartState], PartRow>(
    'SELECT * FROM edit_part WHERE run_id = ? AND place > ? AND state = ? ORDER BY place LIMIT 1',
  )
  const setPart = db.prepare('UPDATE edit_part SET state = ?, problem = ? WHERE run_id = ? AND place = ?')
  const undo = db.prepare('UPDATE edit_run SET undone_at = ? WHERE id = ? AND undone_at IS NULL')
  const drop = db.prepare(
    "UPDATE edit_part SET state = 'kept', problem = 'Taken back before it was changed.' WHERE run_id = ? AND state = 'waiting'",
  )
  const begin = db.transaction(
    (run: Omit<KeptRun, 'undoneAt'>, parts: readonly Pick<EditPart, 'video' | 'before' | 'after'>[]) => {
      addRun.run(run.id, run.workspaceId, run.at, JSON.stringify(run.edit))
      for (const [place, { video, before, after }] of parts.entries())
        addPart.run(run.id, place, video, JSON.stringify(before), JSON.stringify(after))
      prune.run(run.workspaceId)
    },
  )
  const takeBack = db.transaction((id: string, at: number) => {
    undo.run(at, id)
    drop.run(id)
  })
  return {
    /** Notes what is to be changed, before anything is. */
    begin: begin.immediate as typeof begin,
    get(id: string): KeptRun | null {
      const row = one.get(id)
      return row ? toRun(row) : null
    },
    /** Newest first. */
    of: (workspace: string): KeptRun[] => of.all(workspace).map(toRun),
    counts: (id: string): Record<PartState, number> => ({
      waiting: 0,
      changed: 0,
      kept: 0,
      undone: 0,
      ...Object.fromEntries(counts.all(id)),
    }),
    /** Why videos were not changed, or not taken back. */
    reasons: (id: string) => reasons.all(id),
    /** The next one in a state, after a place. */
    next(id: string, after: number, state: PartState): EditPart | null {
      const row = next.get(id, after, state)
      return row
        ? { ...row, before: JSON.parse(row.before) as EditedValue, after: JSON.parse(row.after) as EditedValue }
        : null
    },
    set(id: string, place: number, state: PartState, problem: string | null): void {
      setPart.run(state, problem, id, place)
    },
    /** From now on it is taken back; what waits is left as it is. */
    takeBack: takeBack.immediate as typeof takeBack,
  }
}
