import Database from 'better-sqlite3'
import { parentPort, workerData } from 'node:worker_threads'
import { spaceOf } from '../data/space'

const db = new Database((workerData as { file: string }).file, { readonly: true })
parentPort!.postMessage(spaceOf(db))
db.close()
