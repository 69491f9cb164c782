import type { FoundKind } from '../../shared/find'
import type { Db } from './open'

/** A thing of a workspace that can be found. */
export interface Findable {
  kind: FoundKind
  id: string
  /** What it is called. */
  text: string
  /** What else it is found by; '' for nothing. */
  also: string
}
export type FindableStore = ReturnType<typeof findableStore>

/** What stands in a workspace, by name: for looking for it, whatever kind it is. */
export function findableStore(db: Db) {
  const field = (name: string, path: string) =>
    `(SELECT json_extract(value, '${path}') FROM brief_field WHERE brief_id = b.id AND field = '${name}')`
  const all = db.prepare<{ workspace: string; channel: string | null }, Findable>(
    `SELECT 'brief' AS kind, b.id, coalesce(nullif(${field('topic', '$')}, ''), ${field('title', '$')}, '') AS text,
        concat_ws(' ', ${field('title', '$')}, ${field('tray', '$.lead')}) AS also
      FROM brief b WHERE b.workspace_id = @workspace AND b.deleted_at IS NULL
    UNION ALL
    SELECT 'list', id, name, '' FROM phrase_list WHERE workspace_id = @workspace AND deleted_at IS NULL
    UNION ALL
    SELECT kind, id, coalesce(json_extract(value, '$.name'), nullif(json_extract(value, '$.title'), ''),
          json_extract(value, '$.lead'), ''), coalesce(json_extract(value, '$.lead'), '')
      FROM workspace_item WHERE workspace_id = @workspace AND deleted_at IS NULL
    UNION ALL
    SELECT * FROM (SELECT 'video', code, title, '' FROM video WHERE channel_id = @channel
      ORDER BY published_at DESC LIMIT 2000)`,
  )
  return {
    /** @param channel whose videos are the workspace's; `null` for none. */
    of: (workspace: string, channel: string | null): Findable[] => all.all({ workspace, channel }),
  }
}
