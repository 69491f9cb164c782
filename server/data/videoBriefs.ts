import { upgraded, type BriefFields } from '../../core/brief/brief'
import { briefIdOf } from '../../shared/audit'
import type { Db } from './open'

/** The brief that a video came of. */
export interface VideoBrief {
  id: string
  lead: string | null
  support: string[]
  language: string
}
const FIELDS = ['tray', 'language', 'videoAddress'] as const

/** What may be the video's id in an address: the last part of its path, or the value of a parameter. */
export function idsInAddress(address: string): string[] {
  if (!URL.canParse(address)) return []
  const { pathname, searchParams } = new URL(address)
  return [pathname.split('/').findLast(Boolean), ...searchParams.values()].filter(part => part !== undefined)
}

export type VideoBriefStore = ReturnType<typeof videoBriefStore>

/**
 * Which briefs belong to which videos: those that were published from here, those that name the video’s address, and
 * those made of a video to mend it.
 */
export function videoBriefStore(db: Db) {
  const out = db.prepare<[string], { brief: string; video: string }>(
    `SELECT p.brief_id AS brief, p.video FROM publication p JOIN brief b ON b.id = p.brief_id
      WHERE b.workspace_id = ? AND b.deleted_at IS NULL AND p.state = 'out' AND p.video IS NOT NULL`,
  )
  const fields = db.prepare<[string], { brief: string; field: (typeof FIELDS)[number]; value: string; format: number }>(
    `SELECT f.brief_id AS brief, f.field, f.value, f.format FROM brief b JOIN brief_field f ON f.brief_id = b.id
      WHERE b.workspace_id = ? AND b.deleted_at IS NULL AND f.field IN (${FIELDS.map(field => `'${field}'`).join(', ')})
      ORDER BY b.updated_at`,
  )
  /** @returns the brief of a video, by the site’s id of it. */
  return (workspace: string): ((video: string) => VideoBrief | undefined) => {
    const known = new Map<string, Partial<Pick<BriefFields, (typeof FIELDS)[number]>>>()
    for (const { brief, field, value, format } of fields.all(workspace))
      known.set(brief, { ...known.get(brief), [field]: upgraded(field, JSON.parse(value), format) })
    const named = new Map<string, string>()
    for (const [brief, { videoAddress }] of known)
      for (const part of idsInAddress(videoAddress ?? '')) named.set(part, brief)
    for (const { brief, video } of out.all(workspace)) named.set(video, brief)
    return video => {
      const id = named.get(video) ?? briefIdOf(workspace, video)
      const fields = known.get(id)
      return (
        fields && {
          id,
          lead: fields.tray?.lead ?? null,
          support: fields.tray?.support ?? [],
          language: fields.language ?? '',
        }
      )
    }
  }
}
