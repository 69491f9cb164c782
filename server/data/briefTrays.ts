import { emptyFields, upgraded, type BriefFields } from '../../core/brief/brief'
import type { Db } from './open'

const FIELDS = ['topic', 'title', 'tray', 'region', 'language'] as const
type Read = Pick<BriefFields, (typeof FIELDS)[number]>

/** What a brief is about, without its texts. */
export interface BriefTray {
  id: string
  topic: string
  title: string
  lead: string
  support: string[]
  region: string | null
  language: string
}

export type BriefTrayStore = ReturnType<typeof briefTrayStore>

/** The phrases of many briefs, read in one go. */
export function briefTrayStore(db: Db) {
  const rows = db.prepare<[string], { brief_id: string; field: keyof Read; value: string; format: number }>(
    `SELECT f.brief_id, f.field, f.value, f.format FROM brief b CROSS JOIN brief_field f ON f.brief_id = b.id
      WHERE b.workspace_id = ? AND b.deleted_at IS NULL AND f.field IN (${FIELDS.map(field => `'${field}'`).join(', ')})
      ORDER BY b.updated_at DESC, b.id DESC`,
  )
  return {
    /** The briefs of a workspace that are not deleted, newest change first. */
    of(workspace: string): BriefTray[] {
      const found = new Map<string, Read>()
      for (const { brief_id, field, value, format } of rows.all(workspace)) {
        let fields = found.get(brief_id)
        if (!fields) found.set(brief_id, (fields = emptyFields()))
        Object.assign(fields, { [field]: upgraded(field, JSON.parse(value), format) })
      }
      return [...found].map(([id, { topic, title, tray, region, language }]) => ({
        id,
        topic,
        title,
        lead: tray.lead ?? '',
        support: tray.support,
        region,
        language,
      }))
    },
  }
}
