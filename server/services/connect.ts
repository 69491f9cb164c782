/// <reference path="./comlink-node.d.ts" />
import * as Comlink from 'comlink'
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs'
import { Worker } from 'node:worker_threads'
import type { Services } from './contract'
import type { Misbehaviour } from './standin/behaviour'
import type { StandinThread } from './standin/thread'

export interface ConnectedServices extends Services {
  /** Switches the simulation's misbehaviour. */
  behave: (settings: Partial<Misbehaviour>) => Promise<Misbehaviour>
  close: () => Promise<void>
}

/**
 * Starts the simulated services in a thread of their own.
 * @param entry the built worker file. @param world the world's SQLite file.
 */
export function connectStandin(entry: string, world: string): ConnectedServices {
  const worker = new Worker(entry, { workerData: { world } })
  const remote = Comlink.wrap<StandinThread>(nodeEndpoint(worker))
  worker.unref()
  return {
    site: remote.site as unknown as Services['site'],
    demand: remote.demand as unknown as Services['demand'],
    web: remote.web as unknown as Services['web'],
    behave: settings => remote.behave(settings),
    close: async () => { await worker.terminate() },
  }
}
