/// <reference path="./comlink-node.d.ts" />
import Database from 'better-sqlite3'
import * as Comlink from 'comlink'
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs'
import { closeSync, fdatasyncSync, openSync } from 'node:fs'
import { parentPort, workerData } from 'node:worker_threads'
import { spaceOf } from '../data/space'
import { removeUnusedPictures } from '../data/unusedPictures'
import { giveWay } from './giveWay'

/** Pages that are copied before they are written to the disk: 8 MB. */
const STEP = 2048

/** What reads the user's whole file, in a thread of its own. */
const { file, index } = workerData as { file: string; index: string }
const db = new Database(file, { readonly: true })
// It goes through the file once and comes back to nothing.
db.pragma('cache_size = -1000')
const thread = {
  space: () => spaceOf(db, index),
  removeUnusedPictures: (now: number) => removeUnusedPictures(file, now),
  /**
   * Copies the file as it is at this moment, whatever is written meanwhile: it is read in one transaction. What is
   * copied goes to the disk bit by bit: all at once, a person's edit would wait for it.
   */
  copy: async (to: string): Promise<void> => {
    let copied: number | undefined
    db.exec('BEGIN')
    try {
      db.prepare('SELECT 1 FROM sqlite_schema LIMIT 1').get()
      await db.backup(to, {
        progress: () => {
          fdatasyncSync((copied ??= openSync(to, 'r+')))
          return STEP
        },
      })
    } catch (error) {
      // Of an error only its name and message come out of a thread: the code by which a full disk is known goes as
      // name.
      if (error instanceof Database.SqliteError) error.name = error.code
      throw error
    } finally {
      if (copied !== undefined) closeSync(copied)
      db.exec('ROLLBACK')
    }
  },
}
export type FileThread = typeof thread

giveWay()
Comlink.expose(thread, nodeEndpoint(parentPort!))
