import { statSync } from 'node:fs'
import type { SpaceAnswer, SpaceKind } from '../../shared/space'
import type { Db } from './open'

/** What each table holds, its indexes with it. */
export const HELD: Record<string, SpaceKind> = {
  brief: 'texts',
  brief_field: 'texts',
  brief_item: 'texts',
  workspace_item: 'texts',
  brief_edit: 'texts',
  field_history: 'texts',
  phrase_list: 'texts',
  list_phrase: 'texts',
  phrase_note: 'texts',
  filter_set: 'texts',
  workspace: 'texts',
  own_video: 'texts',
  rival_set: 'texts',
  setting: 'texts',
  off_topic: 'texts',
  phrase: 'figures',
  figure: 'figures',
  figure_past: 'figures',
  history: 'figures',
  source: 'figures',
  volume_cap: 'figures',
  region_interest: 'figures',
  index_snapshot: 'figures',
  index_change: 'figures',
  look: 'figures',
  look_phrase: 'figures',
  place: 'figures',
  result_page: 'pages',
  seat: 'pages',
  standing_page: 'pages',
  video: 'pages',
  channel: 'pages',
  trending: 'pages',
  evidence_rules: 'pages',
  page_reading: 'pages',
  evidence: 'pages',
  chance_model: 'pages',
  account_channel: 'rest',
  publication: 'rest',
  audience: 'rest',
  rank_series: 'pages',
  rank_day: 'pages',
  watch: 'texts',
  video_change: 'texts',
  forecast: 'texts',
  put_off: 'texts',
  edit_run: 'texts',
  edit_part: 'texts',
  earned: 'figures',
  planned_change: 'texts',
  trial: 'texts',
  trial_pair: 'texts',
  trial_wave: 'texts',
  video_day: 'figures',
  video_referrer: 'figures',
  video_told: 'figures',
  playlist_page: 'pages',
  job: 'rest',
  job_input: 'rest',
  asked: 'rest',
  access_key: 'rest',
  session: 'rest',
}

/**
 * Bytes by what they hold. It reads the whole file: for a thread of its own.
 * @param index the file in which the index is kept, if it is.
 */
export function spaceOf(db: Db, index: string): SpaceAnswer {
  const sizes = db
    .prepare<[], { held: string | null; bytes: number }>(
      `SELECT s.tbl_name AS held, sum(d.pgsize) AS bytes FROM dbstat d LEFT JOIN sqlite_schema s ON s.name = d.name
        WHERE d.aggregate = TRUE GROUP BY 1`,
    )
    .all()
  const page = Number(db.pragma('page_size', { simple: true }))
  const space: Omit<SpaceAnswer, 'index'> = {
    texts: 0,
    figures: 0,
    pages: 0,
    rest: 0,
    free: Number(db.pragma('freelist_count', { simple: true })) * page,
  }
  for (const { held, bytes } of sizes) space[held === null ? 'rest' : (HELD[held] ?? 'rest')] += bytes
  // Pages that say where others are belong to no table.
  const told = Object.values(space).reduce((sum, bytes) => sum + bytes, 0)
  space.rest += Number(db.pragma('page_count', { simple: true })) * page - told
  return { ...space, index: statSync(index, { throwIfNoEntry: false })?.size ?? 0 }
}
