import { constants, platform, setPriority } from 'node:os'
import { isMainThread } from 'node:worker_threads'

/**
 * Has the thread it is called in give way to the one that answers requests, where both want a processor. Linux knows
 * priorities by the thread; elsewhere they are of the whole server, and nothing is changed.
 */
export function giveWay(): void {
  if (platform() === 'linux' && !isMainThread) setPriority(constants.priority.PRIORITY_BELOW_NORMAL)
}
