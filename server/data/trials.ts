import type { Edited, EditedValue } from '../../core/draft/manyEdit'
import type { Compared } from '../../core/ranks/sides'
import type { TrialPair } from '../../core/ranks/trial'
import type { Db } from './open'

export interface KeptTrial {
  id: string
  workspaceId: string
  at: number
  check: string
  ruleSet: string
  field: Edited
  outcome: Compared
  weeks: number
  waves: number
  stoppedAt: number | null
}
/** A pair with the text that is changed of one of the two. */
export interface KeptPair extends TrialPair {
  before: EditedValue
  after: EditedValue
}
/** A wave that was begun. */
export interface KeptWave {
  wave: number
  run: string
  at: number
}

const COLUMNS = `id, workspace_id AS workspaceId, at, check_id AS "check", rule_set AS ruleSet, field, outcome, weeks,
  waves, stopped_at AS stoppedAt`

export type TrialStore = ReturnType<typeof trialStore>

/** Trials over one's own videos, with what was drawn. */
export function trialStore(db: Db) {
  const add = db.prepare(
    `INSERT INTO trial (id, workspace_id, at, check_id, rule_set, field, outcome, weeks, waves)
      VALUES (@id, @workspaceId, @at, @check, @ruleSet, @field, @outcome, @weeks, @waves)`,
  )
  const addPair = db.prepare(
    'INSERT INTO trial_pair (trial_id, place, wave, changed, kept, before, after) VALUES (?, ?, ?, ?, ?, ?, ?)',
  )
  const addWave = db.prepare('INSERT INTO trial_wave (trial_id, wave, run_id, at) VALUES (?, ?, ?, ?)')
  const one = db.prepare<[string], KeptTrial>(`SELECT ${COLUMNS} FROM trial WHERE id = ?`)
  const of = db.prepare<[string], KeptTrial>(
    `SELECT ${COLUMNS} FROM trial WHERE workspace_id = ? ORDER BY at DESC, id DESC`,
  )
  const pairs = db.prepare<[string], TrialPair & { before: string; after: string }>(
    'SELECT wave, changed, kept, before, after FROM trial_pair WHERE trial_id = ? ORDER BY place',
  )
  const waves = db.prepare<[string], KeptWave>(
    'SELECT wave, run_id AS run, at FROM trial_wave WHERE trial_id = ? ORDER BY wave',
  )
  const stop = db.prepare('UPDATE trial SET stopped_at = ? WHERE id = ? AND stopped_at IS NULL')
  const begin = db.transaction((trial: Omit<KeptTrial, 'stoppedAt'>, drawn: readonly KeptPair[]) => {
    add.run(trial)
    for (const [place, { wave, changed, kept, before, after }] of drawn.entries())
      addPair.run(trial.id, place, wave, changed, kept, JSON.stringify(before), JSON.stringify(after))
  })
  const begun = db.transaction((id: string, wave: number, start: () => { id: string; at: number }) => {
    const run = start()
    addWave.run(id, wave, run.id, run.at)
  })
  return {
    /** Keeps what was drawn, before anything is changed. */
    begin: begin.immediate as typeof begin,
    get: (id: string): KeptTrial | null => one.get(id) ?? null,
    /** Newest first. */
    of: (workspace: string): KeptTrial[] => of.all(workspace),
    pairs: (id: string): KeptPair[] =>
      pairs.all(id).map(pair => ({
        ...pair,
        before: JSON.parse(pair.before) as EditedValue,
        after: JSON.parse(pair.after) as EditedValue,
      })),
    /** Those that were begun, in their order. */
    waves: (id: string): KeptWave[] => waves.all(id),
    /** Notes a wave together with the change that makes it: both or neither. */
    addWave: begun.immediate as typeof begun,
    /** @returns whether it was under way. */
    stop: (id: string, at: number): boolean => stop.run(at, id).changes > 0,
  }
}
