import type { Answer } from '../contract'
import type { Behaviour } from './behaviour'
import type { WorldClock } from './clock'

/** The name of the video site as a source. */
export const SITE = 'video site'

/** How the simulated services answer: with their name and time, and as well or badly as they are told to behave. */
export function answering(behaviour: Behaviour, clock: WorldClock) {
  const answer = <Data>(source: string, data: Data, complete = true): Answer<Data> => ({
    source,
    at: clock.now(),
    complete,
    data,
  })
  const call =
    <Args extends unknown[], Result>(work: (...args: Args) => Result) =>
    async (...args: Args): Promise<Result> => {
      await behaviour.before()
      return work(...args)
    }
  return {
    behaviour,
    answer,
    call,
    /** A call that answers with data alone, in the name of a source. */
    say: <Args extends unknown[], Data>(source: string, work: (...args: Args) => Data) =>
      call((...args: Args) => answer(source, work(...args))),
  }
}
export type Answering = ReturnType<typeof answering>
