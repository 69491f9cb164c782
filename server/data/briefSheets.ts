import type { SheetAnswers } from '../../core/release/sheet'
import type { Db } from './open'

export type BriefSheetStore = ReturnType<typeof briefSheetStore>

/** What was answered on release sheets. */
export function briefSheetStore(db: Db) {
  const of = db
    .prepare<[workspace: string, except: string, most: number], string>(
      `SELECT f.value FROM brief b JOIN brief_field f ON f.brief_id = b.id AND f.field = 'sheet'
        WHERE b.workspace_id = ? AND b.id <> ? AND b.deleted_at IS NULL ORDER BY b.updated_at DESC LIMIT ?`,
    )
    .pluck()
  return {
    /** The sheets of a workspace's briefs, newest change first. @param except a brief that is left out. */
    list: (workspace: string, except: string, most: number): SheetAnswers[] =>
      of.all(workspace, except, most).map(value => JSON.parse(value) as SheetAnswers),
  }
}
