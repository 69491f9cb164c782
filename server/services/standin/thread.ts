/// <reference path="../../threads/comlink-node.d.ts" />
import * as Comlink from 'comlink'
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs'
import { parentPort, workerData } from 'node:worker_threads'
import type { Misbehaviour } from '../../../shared/services'
import { Behaviour, misbehaviourFrom } from './behaviour'
import { Passing } from './passing'
import { openStandin } from './standin'

// The simulated services run in a thread of their own: however long they take, the server answers.
const behaviour = new Behaviour(misbehaviourFrom(process.env))
const services = openStandin(
  (workerData as { world: string }).world,
  behaviour,
  undefined,
  Number(process.env.FONETRA_STANDIN_DAYS ?? 0) || 0,
)
const passing = new Passing(services)

const exposed = {
  site: services.site,
  demand: services.demand,
  web: services.web,
  otherWeb: services.otherWeb,
  translation: services.translation,
  clock: () => passing.clock(),
  move: (days: number) => passing.move(days),
  stopMoving: () => passing.stop(),
  behave(settings: Partial<Misbehaviour>) {
    behaviour.current = { ...behaviour.current, ...settings }
    return behaviour.current
  },
}
export type StandinThread = typeof exposed

Comlink.expose(exposed, nodeEndpoint(parentPort!))
