/// <reference path="./comlink-node.d.ts" />
import Database from 'better-sqlite3'
import * as Comlink from 'comlink'
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs'
import { parentPort, workerData } from 'node:worker_threads'
import type { ModelToJudgeBy, ModelToKeep } from '../data/chanceModels'
import { chancePages } from '../data/chancePages'
import { judgePages, learnFrom } from '../rivals/learning'
import { giveWay } from './giveWay'

/** Learns from the pages kept, with a connection that only reads. */
const db = new Database((workerData as { file: string }).file, { readonly: true })
const thread = {
  /** Whole pages, by region and source, most first. */
  counts: () => chancePages(db).counts.all(),
  learn: (region: string, source: string): ModelToKeep | null => learnFrom(db, region, source),
  judge: (by: ModelToJudgeBy, phraseIds: number[]) => judgePages(db, by, phraseIds),
}
export type ChanceThread = typeof thread

giveWay()
Comlink.expose(thread, nodeEndpoint(parentPort!))
