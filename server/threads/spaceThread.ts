/// <reference path="./comlink-node.d.ts" />
import Database from 'better-sqlite3'
import * as Comlink from 'comlink'
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs'
import { parentPort, workerData } from 'node:worker_threads'
import { spaceOf } from '../data/space'

const db = new Database((workerData as { file: string }).file, { readonly: true })
// It goes through the file once and comes back to nothing.
db.pragma('cache_size = -1000')
const thread = { space: () => spaceOf(db) }
export type SpaceThread = typeof thread

Comlink.expose(thread, nodeEndpoint(parentPort!))
