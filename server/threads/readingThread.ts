/// <reference path="./comlink-node.d.ts" />
import Database from 'better-sqlite3'
import * as Comlink from 'comlink'
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs'
import { parentPort, workerData } from 'node:worker_threads'
import type { ChanceModel } from '../../core/chance/model'
import { modelFrom } from '../../core/chance/saved'
import { chancePages } from '../data/chancePages'
import { readPage, type PageRead, type PageToRead } from '../rivals/pageReader'

// Matching thousands of titles takes its time: it is done beside the server, which goes on answering. What was learnt
// of how the site ranks is read from the file: it is too large to be sent with every page.
const from = chancePages(new Database((workerData as { file: string }).file, { readonly: true }))
const models = new Map<string, { at: number; model: ChanceModel | null }>()

function modelOf(learnt: PageToRead['learnt']): ChanceModel | null {
  if (!learnt) return null
  const known = models.get(learnt.region)
  if (known?.at === learnt.at) return known.model
  const json = from.model.get(learnt.region, learnt.at)
  const model = json === undefined ? null : modelFrom(json)
  models.set(learnt.region, { at: learnt.at, model })
  return model
}

const thread = { read: (pages: PageToRead[]): PageRead[] => pages.map(page => readPage(page, modelOf(page.learnt))) }
export type ReadingThread = typeof thread

Comlink.expose(thread, nodeEndpoint(parentPort!))
