import { platform, setPriority } from 'node:os'
import { isMainThread } from 'node:worker_threads'

/**
 * How far a thread stands back, of 19 steps. With 4 it still has two fifths of a processor that is wanted without a
 * pause: more would have it starve on a machine that is busy with something else.
 */
const STEPS = 4

/**
 * Has the thread it is called in give way to the one that answers requests, where both want a processor. Linux knows
 * priorities by the thread; elsewhere they are of the whole server, and nothing is changed.
 *
 * Not for threads that somebody waits for within a bound of time: on a busy machine they would be ended for nothing.
 */
export function giveWay(): void {
  if (platform() === 'linux' && !isMainThread) setPriority(STEPS)
}
