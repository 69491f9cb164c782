import type { Applied } from '../../shared/publish'
import type { Db } from './open'

/** A part of a video that was changed on the site through Fonetra. */
export interface VideoChange {
  /** By the clock of the services, UTC milliseconds. */
  at: number
  field: Applied
  /** `null` where the site did not tell it. */
  before: string | null
  after: string
}

export type VideoChangeStore = ReturnType<typeof videoChangeStore>

/** What was changed of videos that are out, and when. */
export function videoChangeStore(db: Db) {
  const add = db.prepare('INSERT INTO video_change (video, at, field, before, after) VALUES (?, ?, ?, ?, ?)')
  const of = db.prepare<[string], VideoChange>(
    'SELECT at, field, before, after FROM video_change WHERE video = ? ORDER BY at, id',
  )
  const save = db.transaction((video: string, changes: readonly VideoChange[]) => {
    for (const { at, field, before, after } of changes) add.run(video, at, field, before, after)
  })
  return {
    /** Keeps what was changed in one go. */
    save: (video: string, changes: readonly VideoChange[]): void => {
      save.immediate(video, changes)
    },
    /** Oldest first. */
    of: (video: string): VideoChange[] => of.all(video),
  }
}
