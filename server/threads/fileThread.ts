/// <reference path="./comlink-node.d.ts" />
import Database from 'better-sqlite3'
import * as Comlink from 'comlink'
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs'
import { parentPort, workerData } from 'node:worker_threads'
import { spaceOf } from '../data/space'
import { removeUnusedPictures } from '../data/unusedPictures'

/** More pages than a file can have: all of them in one step. */
const ALL = 0x7fffffff

/** What reads the user's whole file, in a thread of its own. */
const { file } = workerData as { file: string }
const db = new Database(file, { readonly: true })
// It goes through the file once and comes back to nothing.
db.pragma('cache_size = -1000')
const thread = {
  space: () => spaceOf(db),
  removeUnusedPictures: (now: number) => removeUnusedPictures(file, now),
  /**
   * Copies the file as it is at this moment. In one step: between two, another connection's write would begin it anew.
   */
  copy: async (to: string): Promise<void> => {
    try {
      await db.backup(to, { progress: () => ALL })
    } catch (error) {
      // Of an error only its name and message come out of a thread: the code by which a full disk is known goes as
      // name.
      if (error instanceof Database.SqliteError) error.name = error.code
      throw error
    }
  },
}
export type FileThread = typeof thread

Comlink.expose(thread, nodeEndpoint(parentPort!))
