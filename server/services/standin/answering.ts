import { serviceError, type Answer } from '../contract'
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
      try {
        return work(...args)
      } catch (error) {
        // Such as a full disk: to whoever asks, a service that fails.
        console.error('The simulated services failed:', error)
        throw serviceError('ServiceFailed', 'The service did not answer as it should.')
      }
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
