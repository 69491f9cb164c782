import { emptyFields, upgraded, type BriefFields } from '../../core/brief/brief'
import type { SheetAnswers } from '../../core/release/sheet'
import type { Db } from './open'

const FIELDS = ['topic', 'title', 'tray', 'seconds', 'lines', 'releaseAt', 'videoAddress'] as const

/** A brief whose hour of release is chosen. */
export interface PlannedRelease extends Pick<BriefFields, (typeof FIELDS)[number]> {
  id: string
  /** UTC milliseconds. */
  releaseAt: number
  updatedAt: number
}

export type BriefReleaseStore = ReturnType<typeof briefReleaseStore>

/** What briefs say of their release, without their texts. */
export function briefReleaseStore(db: Db) {
  const sheetsOf = db.prepare<[workspace: string, except: string, most: number], { value: string; format: number }>(
    `SELECT f.value, f.format FROM brief b JOIN brief_field f ON f.brief_id = b.id AND f.field = 'sheet'
        WHERE b.workspace_id = ? AND b.id <> ? AND b.deleted_at IS NULL ORDER BY b.updated_at DESC LIMIT ?`,
  )
  const planned = db.prepare<
    [string],
    { brief_id: string; updated_at: number; field: (typeof FIELDS)[number]; value: string; format: number }
  >(
    `SELECT f.brief_id, b.updated_at, f.field, f.value, f.format FROM brief b
      CROSS JOIN brief_field h ON h.brief_id = b.id AND h.field = 'releaseAt' AND h.value GLOB '[0-9]*'
      CROSS JOIN brief_field f ON f.brief_id = b.id
      WHERE b.workspace_id = ? AND b.deleted_at IS NULL AND f.field IN (${FIELDS.map(field => `'${field}'`).join(', ')})`,
  )
  return {
    /** The sheets of a workspace's briefs, newest change first. @param except a brief that is left out. */
    sheets: (workspace: string, except: string, most: number): SheetAnswers[] =>
      sheetsOf
        .all(workspace, except, most)
        .map(({ value, format }) => upgraded('sheet', JSON.parse(value), format) as SheetAnswers),
    /** The briefs of a workspace whose hour of release is chosen, by that hour. */
    planned(workspace: string): PlannedRelease[] {
      const found = new Map<string, PlannedRelease>()
      for (const { brief_id: id, updated_at: updatedAt, field, value, format } of planned.all(workspace)) {
        let release = found.get(id)
        if (!release) found.set(id, (release = { ...emptyFields(), releaseAt: 0, id, updatedAt }))
        Object.assign(release, { [field]: upgraded(field, JSON.parse(value), format) })
      }
      return [...found.values()].sort((a, b) => a.releaseAt - b.releaseAt)
    },
  }
}
