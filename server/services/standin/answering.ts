import type { Answer } from '../contract'
import type { Behaviour } from './behaviour'
import type { WorldClock } from './clock'

/** How the simulated services answer: with their name and time, and as well or badly as they are told to behave. */
export function answering(behaviour: Behaviour, clock: WorldClock) {
  return {
    behaviour,
    answer: <Data>(source: string, data: Data, complete = true): Answer<Data> => ({
      source,
      at: clock.now(),
      complete,
      data,
    }),
    call:
      <Args extends unknown[], Result>(work: (...args: Args) => Result) =>
      async (...args: Args): Promise<Result> => {
        await behaviour.before()
        return work(...args)
      },
  }
}
export type Answering = ReturnType<typeof answering>
