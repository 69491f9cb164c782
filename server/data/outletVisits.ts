import type { Db } from './open'

/** What the plans of a workspace's briefs say of each outlet. */
export interface OutletVisits {
  /** How often it was told of a video. */
  told: number
  /** Visits it brought; `null` where nobody read them off. */
  visits: number | null
}

/** @returns what asks it, by the ids of the outlets. */
export function outletVisits(db: Db): (workspace: string) => ReadonlyMap<string, OutletVisits> {
  const sums = db.prepare<[string], OutletVisits & { outlet: string }>(
    `SELECT i.value ->> '$.outlet' AS outlet, count(i.value ->> '$.doneAt') AS told, sum(i.value ->> '$.brought') AS visits
      FROM brief b CROSS JOIN brief_item i ON i.brief_id = b.id AND i.kind = 'spreadStep'
      WHERE b.workspace_id = ? AND b.deleted_at IS NULL AND i.deleted_at IS NULL AND outlet IS NOT NULL GROUP BY outlet`,
  )
  return workspace => new Map(sums.all(workspace).map(({ outlet, told, visits }) => [outlet, { told, visits }]))
}
