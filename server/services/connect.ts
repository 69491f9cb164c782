import { restartingThread, ThreadEnded } from '../threads/restartingThread'
import { serviceError, type Services } from './contract'
import type { Misbehaviour, SimulatedClock } from '../../shared/services'
import type { StandinThread } from './standin/thread'

export interface ConnectedServices extends Services {
  /** Switches the simulation's misbehaviour. */
  behave: (settings: Partial<Misbehaviour>) => Promise<Misbehaviour>
  /** The simulation's clock, moved on by days in the background, and stopped there. */
  clock: () => Promise<SimulatedClock>
  move: (days: number) => Promise<SimulatedClock>
  stopMoving: () => Promise<SimulatedClock>
  close: () => Promise<void>
}

type Ask = (...given: unknown[]) => Promise<unknown>

/**
 * The simulated services in a thread of their own.
 * @param entry the built worker file. @param world the world's SQLite file.
 */
export function connectStandin(entry: string, world: string): ConnectedServices {
  const thread = restartingThread<StandinThread>('The simulated services', entry, { workerData: { world } })
  /** One of the interfaces, each method passed on by its name. */
  const passed = <Name extends keyof Services>(name: Name): Services[Name] =>
    new Proxy({} as Services[Name], {
      get:
        (_, method: string) =>
        async (...given: unknown[]) => {
          try {
            return await thread.ask(remote => (remote[name] as unknown as Record<string, Ask>)[method]!(...given))
          } catch (error) {
            throw error instanceof ThreadEnded ? serviceError('ServiceFailed', error.message) : error
          }
        },
    })
  return {
    site: passed('site'),
    demand: passed('demand'),
    web: passed('web'),
    otherWeb: passed('otherWeb'),
    translation: passed('translation'),
    behave: settings => thread.ask(remote => remote.behave(settings)),
    clock: () => thread.ask(remote => remote.clock()),
    move: days => thread.ask(remote => remote.move(days)),
    stopMoving: () => thread.ask(remote => remote.stopMoving()),
    close: thread.close,
  }
}
