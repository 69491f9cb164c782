import { v7 as uuid } from 'uuid'
import type { Corrections, Recalibration } from '../../core/chance/recalibrated'
import { ownStrength } from '../../core/rivals/ownStrength'
import { settingsSchema, type Settings, type Workspace, type WorkspacePatch } from '../../shared/workspace'
import type { OwnStanding } from '../demand/regionColumns'
import type { Db } from './open'
import type { VideoStore } from './videos'

interface WorkspaceRow {
  id: string
  name: string
  channel_id: string | null
  time_zone: string
  created_at: number
  subscribers: number | null
  language: string
  region: string | null
  briefs: number
}

const NO_CORRECTIONS: Corrections = { fixed: undefined, learnt: undefined }

/** A channel whose forecasts are corrected by what came of earlier ones. */
function corrected(own: OwnStanding, how: Corrections): OwnStanding {
  const by = (recalibration: Recalibration | undefined) => (recalibration ? { recalibration } : {})
  const learnt = Object.entries(own.learnt ?? {}).map(([region, value]) => [region, { ...value, ...by(how.learnt) }])
  return {
    ...own,
    spread: { ...own.spread, ...by(how.fixed) },
    learnt: own.learnt && (Object.fromEntries(learnt) as OwnStanding['learnt']),
  }
}

/** What is set of a workspace, and what is known of its channel but its strength. */
export type WorkspaceFacts = Omit<Workspace, 'own'>
export type WorkspaceStore = ReturnType<typeof workspaceStore>

/**
 * Workspaces: each one channel with its briefs and lists, and what is set for it.
 *
 * @param learnt what a channel's next video is worth by what was learnt from pages, by region.
 * @param history what came of earlier forecasts corrects later ones by.
 */
export function workspaceStore(
  db: Db,
  videos: VideoStore,
  now: () => number = Date.now,
  learnt: (channel: string | null, subscribers: number | null) => OwnStanding['learnt'] = () => undefined,
  history: (workspace: string) => Corrections = () => NO_CORRECTIONS,
) {
  const SELECT = `SELECT w.*, (SELECT count(*) FROM brief b WHERE b.workspace_id = w.id AND b.deleted_at IS NULL) AS briefs
      FROM workspace w`
  const all = db.prepare<[], WorkspaceRow>(`${SELECT} ORDER BY w.created_at, w.id`)
  const one = db.prepare<[string], WorkspaceRow>(`${SELECT} WHERE w.id = ?`)
  const add = db.prepare(
    `INSERT INTO workspace (id, name, channel_id, time_zone, created_at, subscribers, language, region)
      VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
  )
  const set = db.prepare(
    `UPDATE workspace SET name = ?, channel_id = ?, time_zone = ?, subscribers = ?, language = ?, region = ?
      WHERE id = ?`,
  )
  const drop = db.prepare(
    `DELETE FROM workspace WHERE id = ? AND NOT EXISTS (SELECT 1 FROM brief WHERE workspace_id = workspace.id)
      AND (SELECT count(*) FROM workspace) > 1`,
  )
  const byHand = db.prepare<[string], { code: string; title: string; views: number; published_at: number; at: number }>(
    'SELECT * FROM own_video WHERE workspace_id = ? ORDER BY published_at DESC',
  )
  const dropByHand = db.prepare('DELETE FROM own_video WHERE workspace_id = ?')
  const addByHand = db.prepare(
    'INSERT OR REPLACE INTO own_video (workspace_id, code, title, views, published_at, at) VALUES (?, ?, ?, ?, ?, ?)',
  )
  const settingRows = db.prepare<[string], { name: string; value: string }>(
    'SELECT name, value FROM setting WHERE workspace_id = ?',
  )
  const putSetting = db.prepare('INSERT OR REPLACE INTO setting (workspace_id, name, value, at) VALUES (?, ?, ?, ?)')
  const dropSetting = db.prepare('DELETE FROM setting WHERE workspace_id = ? AND name = ?')

  function ownOf(row: WorkspaceRow): Workspace['own'] {
    const stated = byHand
      .all(row.id)
      .map(video => ({ views: video.views, publishedAt: video.published_at, at: video.at }))
    const observed = row.channel_id === null ? [] : videos.countedOfChannel(row.channel_id)
    const list = observed.length ? observed : stated
    const channel = row.channel_id === null ? null : videos.channel(row.channel_id)
    const at = list.length ? Math.max(...list.map(video => video.at)) : (channel?.at ?? now())
    const own = ownStrength({ subscribers: row.subscribers ?? channel?.subscribers ?? null, videos: list }, at)
    return own && { ...own, at }
  }

  function withoutOwn(row: WorkspaceRow): WorkspaceFacts {
    const channel = row.channel_id === null ? null : videos.channel(row.channel_id)
    return {
      id: row.id,
      name: row.name,
      channelId: row.channel_id,
      channelTitle: channel?.title ?? null,
      subscribers: row.subscribers ?? channel?.subscribers ?? null,
      timeZone: row.time_zone,
      language: row.language,
      region: row.region,
      briefs: row.briefs,
    }
  }
  const toWorkspace = (row: WorkspaceRow): Workspace => ({ ...withoutOwn(row), own: ownOf(row) })

  function first(): WorkspaceRow {
    const known = all.get()
    if (known) return known
    const id = uuid()
    add.run(id, 'My channel', null, 'UTC', now(), null, 'en', null)
    return one.get(id)!
  }

  const save = db.transaction((id: string, patch: WorkspacePatch & { name?: string }, isNew: boolean) => {
    if (isNew)
      add.run(
        id,
        patch.name,
        patch.channelId ?? null,
        patch.timeZone ?? 'UTC',
        now(),
        patch.subscribers ?? null,
        patch.language ?? 'en',
        patch.region ?? null,
      )
    else {
      const before = one.get(id)!
      const orBefore = <Value>(given: Value | undefined, old: Value) => (given === undefined ? old : given)
      set.run(
        orBefore(patch.name, before.name),
        orBefore(patch.channelId, before.channel_id),
        orBefore(patch.timeZone, before.time_zone),
        orBefore(patch.subscribers, before.subscribers),
        orBefore(patch.language, before.language),
        orBefore(patch.region, before.region),
        id,
      )
    }
    if (patch.videos) {
      dropByHand.run(id)
      for (const video of patch.videos) addByHand.run(id, video.id, video.title, video.views, video.publishedAt, now())
    }
  })

  /** What is set for a workspace; the product's own where nothing is. */
  function settings(id: string): Settings {
    return settingsSchema.parse(
      Object.fromEntries(
        settingRows
          .all(id)
          .flatMap(({ name, value }) => (name in settingsSchema.shape ? [[name, JSON.parse(value) as unknown]] : [])),
      ),
    )
  }

  return {
    list: (): Workspace[] => {
      first()
      return all.all().map(toWorkspace)
    },
    /**
     * A workspace by id, or the first one; `null` for an unknown id. How strong its channel is, which takes all of its
     * videos, `standing` tells.
     */
    get(id?: string): WorkspaceFacts | null {
      const row = id ? one.get(id) : first()
      return row ? withoutOwn(row) : null
    },
    create(given: WorkspacePatch & { name: string }): Workspace {
      const id = uuid()
      save.immediate(id, given, true)
      return toWorkspace(one.get(id)!)
    },
    update(id: string, patch: WorkspacePatch): Workspace | null {
      if (!one.get(id)) return null
      save.immediate(id, patch, false)
      return toWorkspace(one.get(id)!)
    },
    /** Deletes an empty workspace that is not the only one. @returns whether it did. */
    remove: (id: string): boolean => drop.run(id).changes > 0,
    /** Videos stated by hand. */
    statedVideos: (id: string) =>
      byHand
        .all(id)
        .map(video => ({ id: video.code, title: video.title, views: video.views, publishedAt: video.published_at })),
    settings,
    /** Sets some of the settings; `null` takes one back to the product's own. */
    putSettings(id: string, patch: Record<string, unknown>): Settings {
      for (const [name, value] of Object.entries(patch)) {
        if (value === null) dropSetting.run(id, name)
        else if (value !== undefined) putSetting.run(id, name, JSON.stringify(value), now())
      }
      return settings(id)
    },
    /**
     * My channel as forecasts take it; `null` while nothing is known of it.
     * @param as what is supposed of it instead of what is known.
     */
    standing(
      id?: string,
      as: { subscribers?: number } = {},
    ): { own: OwnStanding | null; settings: Settings; workspace: Workspace | null } {
      const found = id ? one.get(id) : first()
      const row = found && { ...found, ...as }
      if (!row) return { own: null, settings: settingsSchema.parse({}), workspace: null }
      const set = settings(row.id)
      const workspace = toWorkspace(row)
      return {
        own:
          workspace.own &&
          corrected(
            {
              strength: workspace.own.strength,
              spread: set.spread,
              learnt: learnt(workspace.channelId, workspace.subscribers),
            },
            history(row.id),
          ),
        settings: set,
        workspace,
      }
    },
  }
}
