import type { Db } from './open'

/** When viewers are there, as somebody told it. */
export interface KeptAudience {
  /** 168 values of any unit, Monday 0:00 first, by the clock of `zone`. */
  hours: number[]
  zone: string
  source: string
  /** UTC milliseconds. */
  at: number
}
interface Row extends Omit<KeptAudience, 'hours'> {
  hours: string
}
/** Instead of a channel, for what a person read in. */
const READ_IN = ''

export type AudienceStore = ReturnType<typeof audienceStore>

export function audienceStore(db: Db) {
  const find = db.prepare<[string, string], Row>(
    'SELECT hours, zone, source, at FROM audience WHERE workspace_id = ? AND channel = ?',
  )
  const put = db.prepare(
    'INSERT OR REPLACE INTO audience (workspace_id, channel, hours, zone, source, at) VALUES (?, ?, ?, ?, ?, ?)',
  )
  const drop = db.prepare('DELETE FROM audience WHERE workspace_id = ? AND channel = ?')
  const dropTold = db.prepare('DELETE FROM audience WHERE channel <> ?')
  const get = (workspace: string, channel: string): KeptAudience | null => {
    const row = find.get(workspace, channel)
    return row ? { ...row, hours: JSON.parse(row.hours) as number[] } : null
  }
  const save = (workspace: string, channel: string, { hours, zone, source, at }: KeptAudience) => {
    put.run(workspace, channel, JSON.stringify(hours), zone, source, at)
  }
  return {
    /** As the site told it of a channel; `null` where it never did. */
    told: (workspace: string, channel: string | null) => (channel ? get(workspace, channel) : null),
    /** As a person read it in; `null` where nobody did. */
    readIn: (workspace: string) => get(workspace, READ_IN),
    saveTold: save,
    saveReadIn(workspace: string, audience: KeptAudience) {
      save(workspace, READ_IN, audience)
    },
    /** Another site is asked from now on. */
    forgetTold: (): void => {
      dropTold.run(READ_IN)
    },
    /** @returns whether there was one. */
    forgetReadIn: (workspace: string): boolean => drop.run(workspace, READ_IN).changes > 0,
  }
}
