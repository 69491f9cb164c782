import { join } from 'node:path'
import { accessStore } from '../../../../server/data/accessKeys'
import { askedStore } from '../../../../server/data/asked'
import { attachedStore } from '../../../../server/data/attached'
import { briefStore } from '../../../../server/data/briefs'
import { briefTrayStore } from '../../../../server/data/briefTrays'
import { chanceModelStore } from '../../../../server/data/chanceModels'
import { evidenceStore } from '../../../../server/data/evidence'
import { listStore } from '../../../../server/data/lists'
import type { Db } from '../../../../server/data/open'
import { phraseStore } from '../../../../server/data/phrases'
import { playlistPageStore } from '../../../../server/data/playlistPages'
import { placeStore } from '../../../../server/data/places'
import { rankStore } from '../../../../server/data/ranks'
import { resultStore } from '../../../../server/data/results'
import { retention } from '../../../../server/data/retention'
import { rivalSetStore } from '../../../../server/data/rivalSets'
import { sourceStore } from '../../../../server/data/sources'
import { videoChangeStore } from '../../../../server/data/videoChanges'
import { videoStore } from '../../../../server/data/videos'
import { watchStore } from '../../../../server/data/watches'
import { workspaceStore } from '../../../../server/data/workspaces'
import { Jobs } from '../../../../server/jobs/jobs'
import { freshData, temporaryFolder } from '../files'

const folder = temporaryFolder()

/** Tables that grow with use: a statement that goes through all of one takes longer every month. */
const GROWING = [
  'brief',
  'brief_field',
  'brief_edit',
  'field_history',
  'phrase',
  'figure',
  'history',
  'figure_past',
  'look',
  'look_phrase',
  'video',
  'channel',
  'result_page',
  'seat',
  'page_reading',
  'playlist_page',
  'standing_page',
  'list_phrase',
  'phrase_list',
  'phrase_note',
  'job',
  'job_input',
  'asked',
  'off_topic',
  'region_interest',
  'session',
  'own_video',
  'rank_series',
  'rank_day',
  'watch',
  'video_change',
  'edit_part',
  'trial_pair',
  'earned',
  'forecast',
  'video_day',
  'video_referrer',
  'video_told',
]

/** Statements that may, and why. */
const ALLOWED: [RegExp, string][] = [
  [
    /FROM video v JOIN channel c .*v\.views IS NOT NULL/su,
    'the model of views is fitted to everything observed, in the thread of the index',
  ],
  [/FROM channel WHERE title LIKE/u, 'a part of a name: some thousand short rows'],
  [
    /DELETE FROM look_phrase$|DELETE FROM look$|DELETE FROM region_interest$|DELETE FROM asked$|UPDATE channel SET listed_at = NULL/u,
    'another service is attached',
  ],
  [/FROM standing_page WHERE strengths IS NULL/u, 'once at each start'],
]

/** A database that remembers every statement prepared on it. */
function listening(db: Db): { db: Db; prepared: string[] } {
  const prepared: string[] = []
  return {
    prepared,
    db: new Proxy(db, {
      get(target, name) {
        const value: unknown = Reflect.get(target, name, target)
        if (name === 'prepare')
          return (sql: string) => {
            prepared.push(sql)
            return target.prepare(sql)
          }
        return typeof value === 'function' ? (value as (...args: unknown[]) => unknown).bind(target) : value
      },
    }),
  }
}

test('no statement of a store goes through all of a table that grows', () => {
  const real = freshData(folder)
  const { db, prepared } = listening(real)
  const phrases = phraseStore(db)
  const videos = videoStore(db)
  attachedStore(db, join(folder, 'service.key'))
  for (const make of [
    accessStore,
    askedStore,
    briefStore,
    briefTrayStore,
    chanceModelStore,
    evidenceStore,
    placeStore,
    playlistPageStore,
    resultStore,
    retention,
    rivalSetStore,
    sourceStore,
    videoChangeStore,
  ] as ((db: Db) => unknown)[])
    make(db)
  listStore(db, phrases)
  workspaceStore(db, videos)
  watchStore(db, rankStore(db))
  expect(new Jobs(db)).toBeDefined()
  expect(prepared.length).toBeGreaterThan(120)
  const scans: string[] = []
  for (const sql of new Set(prepared)) {
    if (ALLOWED.some(([pattern]) => pattern.test(sql))) continue
    const parameters = sql.match(/@\w+/gu)
    const bound = parameters
      ? [Object.fromEntries(parameters.map(name => [name.slice(1), null]))]
      : Array<null>((sql.match(/\?/gu) ?? []).length).fill(null)
    const plan = real.prepare(`EXPLAIN QUERY PLAN ${sql}`).all(...(bound as [unknown])) as { detail: string }[]
    for (const { detail } of plan) {
      // All phrases of a language are as good as all phrases.
      const [, name] = /^(?:SCAN (?=\w)|SEARCH (?=\w+ USING [^(]*\(language=\?\)))(\w+)/u.exec(detail) ?? []
      if (!name) continue
      // An alias stands for its table.
      const table =
        new RegExp(`(?:FROM|JOIN|UPDATE|INTO)\\s+(\\w+)(?:\\s+AS)?\\s+${name}\\b`, 'u').exec(sql)?.[1] ?? name
      // An insert into what others refer to names them, but looks at them only where references are broken already.
      const isReference = /^INSERT/u.test(sql) && !new RegExp(`\\b${table}\\b`, 'u').test(sql)
      // The first ones in the order of an index.
      const isHead = detail.includes('USING INDEX') && /LIMIT \d+$/u.test(sql)
      if (GROWING.includes(table) && !isReference && !isHead)
        scans.push(`${detail}: ${sql.replace(/\s+/gu, ' ').slice(0, 160)}`)
    }
  }
  expect(scans).toEqual([])
})
