import { MODEL_VERSION } from '../../core/modelVersion'
import { relaxedTransaction, type Db } from './open'

/** What was worked out for briefs as they stood at a change, and when it no longer holds. */
export function briefScores(db: Db) {
  const score = db.prepare('UPDATE brief SET percent = ?, scored_at = ?, scored_by = ? WHERE id = ?')
  const unscore = db.prepare('UPDATE brief SET scored_at = NULL WHERE id = ?')
  const unscoreUnder = db.prepare(
    `UPDATE brief SET scored_at = NULL WHERE workspace_id = ? AND EXISTS
      (SELECT 1 FROM brief_field f WHERE f.brief_id = brief.id AND f.field IN ('ruleSet', 'profile') AND f.value = ?)`,
  )
  return {
    saveScores: relaxedTransaction(
      db,
      (scores: readonly { id: string; updatedAt: number; percent: number | null }[]) => {
        for (const { id, updatedAt, percent } of scores) score.run(percent, updatedAt, MODEL_VERSION, id)
      },
    ),
    /** A rule set or a limit profile of a workspace changed. */
    rescore: (workspace: string, rules: string): void => {
      unscoreUnder.run(workspace, JSON.stringify(rules))
    },
    /** What stands around some briefs changed. */
    rescoreThese: relaxedTransaction(db, (ids: readonly string[]) => {
      for (const id of ids) unscore.run(id)
    }),
  }
}
