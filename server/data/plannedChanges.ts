import type { PlannedDays } from '../../core/ranks/plannedChange'
import type { Compared } from '../../core/ranks/sides'
import type { PlannedField } from '../../shared/plannedChanges'
import type { Db } from './open'

/** A change that is planned for a day. */
export interface KeptPlannedChange extends PlannedDays {
  id: string
  video: string
  field: PlannedField
  note: string
  what: Compared
}

const COLUMNS = 'id, video, field, note, made_on AS madeOn, day, weeks, what'

export type PlannedChangeStore = ReturnType<typeof plannedChangeStore>

/** Changes that are planned, with how they are to be judged. */
export function plannedChangeStore(db: Db) {
  const add = db.prepare(
    `INSERT INTO planned_change (id, workspace_id, video, field, note, made_on, day, weeks, what)
      VALUES (@id, @workspace, @video, @field, @note, @madeOn, @day, @weeks, @what)`,
  )
  const drop = db.prepare('DELETE FROM planned_change WHERE workspace_id = ? AND video = ? AND id = ?')
  const ofVideo = db.prepare<[string, string], KeptPlannedChange>(
    `SELECT ${COLUMNS} FROM planned_change WHERE workspace_id = ? AND video = ? ORDER BY day DESC, id`,
  )
  const all = db.prepare<[string], KeptPlannedChange>(
    `SELECT ${COLUMNS} FROM planned_change WHERE workspace_id = ? ORDER BY day DESC, id`,
  )
  return {
    add: (workspace: string, change: KeptPlannedChange): void => {
      add.run({ ...change, workspace })
    },
    /** @returns whether there was such a one. */
    remove: (workspace: string, video: string, id: string): boolean => drop.run(workspace, video, id).changes > 0,
    /** Those of a video, the latest day first. */
    ofVideo: (workspace: string, video: string): KeptPlannedChange[] => ofVideo.all(workspace, video),
    /** Those of all videos, the latest day first. */
    all: (workspace: string): KeptPlannedChange[] => all.all(workspace),
  }
}
