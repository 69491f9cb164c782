import type { Services } from '../contract'
import { siteAnalytics } from './analytics'
import { answering } from './answering'
import { Behaviour } from './behaviour'
import { Days } from './days'
import { demandData } from './demandData'
import { openWorld } from './openWorld'
import { siteActs } from './siteActs'
import { dictionary } from './translation'
import { siteReads } from './siteReads'
import { OTHER_WEB, WEB, webSearch } from './webSearch'
import type { SimulatedClock } from '../../../shared/services'

export interface Standin extends Services {
  clock: () => Omit<SimulatedClock, 'left' | 'problem'>
  /** Moves the clock on. The days pass by `catchUp`. */
  move: (days: number) => void
  /** Lets days pass in the world that have passed on its clock, at most so many. @returns days still to pass. */
  catchUp: (most?: number) => number
  close: () => void
}

/**
 * Opens the simulated services over a world's file. The world goes on after it was made: its clock is the machine's,
 * moved on as asked; videos grow older and gather views, others are published.
 *
 * @param given the time the clock shows instead of the machine's, UTC milliseconds. Set back before the day on which
 * the world was made, videos published since are not there yet, and the others had fewer views.
 * @param daysAhead days the clock stands ahead at least.
 */
export function openStandin(file: string, behaviour = new Behaviour(), given?: () => number, daysAhead = 0): Standin {
  const world = openWorld(file, given, daysAhead)
  const { clock } = world
  const how = answering(behaviour, clock)
  const days = new Days(world)
  return {
    site: { ...siteReads(world, how), ...siteActs(world, how, days), ...siteAnalytics(world, how) },
    demand: demandData(world, how),
    web: webSearch(world, how, WEB),
    otherWeb: webSearch(world, how, OTHER_WEB),
    translation: dictionary(how),
    clock: () => ({ now: clock.now(), madeOn: clock.madeOn, daysAhead: clock.daysAhead }),
    move: count => {
      clock.move(count)
    },
    catchUp: most => days.catchUp(most),
    close: () => world.db.close(),
  }
}
