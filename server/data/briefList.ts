import { group } from 'd3-array'
import { gapsOf } from '../../core/descriptions/gaps'
import { MODEL_VERSION } from '../../core/modelVersion'
import type { Brief, BriefLine } from '../../shared/brief'
import type { BriefRow, FieldRow } from './briefs'
import type { Db } from './open'

/**
 * Lists of briefs.
 * @param toBrief a brief of its rows. @param get a whole brief by its id.
 */
export function briefList(
  db: Db,
  toBrief: (found: BriefRow, rows: FieldRow[]) => Brief,
  get: (id: string) => Brief | null,
) {
  const liveIn = db.prepare<[string], BriefRow>(
    'SELECT * FROM brief WHERE workspace_id = ? AND deleted_at IS NULL ORDER BY updated_at DESC, id DESC',
  )
  const workspaces = db.prepare<[], string>('SELECT id FROM workspace').pluck()
  // Captions may weigh more than all else; a list of briefs tells nothing of them.
  const fieldsIn = db.prepare<[string], FieldRow & { brief_id: string }>(
    `SELECT f.* FROM brief b CROSS JOIN brief_field f ON f.brief_id = b.id WHERE b.workspace_id = ?
      AND b.deleted_at IS NULL AND f.field <> 'captions'`,
  )
  return {
    /**
     * Briefs that are not deleted, newest change first: of a workspace, or all. `percent` is as last worked out; those
     * changed since are told whole. `listed` are all of them, without their captions.
     */
    list(workspace?: string): { lines: Omit<BriefLine, 'stage'>[]; listed: Brief[]; unscored: Brief[] } {
      const unscored: Brief[] = []
      const listed: Brief[] = []
      const lines = (workspace ? [workspace] : workspaces.all()).flatMap(of => {
        const rows = group(fieldsIn.all(of), each => each.brief_id)
        return liveIn.all(of).map(found => {
          const brief = toBrief(found, rows.get(found.id) ?? [])
          listed.push(brief)
          const { id, fields, updatedAt } = brief
          if (found.scored_at !== updatedAt || found.scored_by !== MODEL_VERSION) unscored.push(get(id)!)
          return {
            id,
            workspaceId: found.workspace_id,
            seriesId: found.series_id,
            seriesPlace: found.series_place,
            topic: fields.topic,
            title: fields.title,
            lead: fields.tray.lead,
            region: fields.region,
            support: fields.tray.support.length,
            updatedAt,
            gaps: gapsOf(fields.description).length,
            percent: found.percent,
            ruleSet: fields.ruleSet,
            releaseAt: fields.releaseAt,
            fileName: fields.fileName,
          }
        })
      })
      return {
        lines: workspace ? lines : lines.sort((a, b) => b.updatedAt - a.updatedAt || (a.id < b.id ? 1 : -1)),
        listed,
        unscored,
      }
    },
  }
}
