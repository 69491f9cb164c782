import { benchChapters } from './chapters'
import { benchCheck } from './check'
import { benchDesk } from './desk'
import type { Timing } from './measure'
import { benchPictures } from './pictures'
import { benchRanks } from './ranks'
import { benchScreen } from './screen'
import { benchScrolling } from './scrolling'
import { benchDemand, benchImport, benchKept } from './server'
import { benchUnderHand } from './underHand'

/**
 * The benchmarks that can be run one at a time, by name. The million phrases take half an hour: they are not among
 * them.
 */
export const PARTS: Record<string, () => Promise<Timing[]>> = {
  check: benchCheck,
  demand: benchDemand,
  kept: benchKept,
  import: async () => (await benchImport()).timings,
  desk: benchDesk,
  chapters: async () => (await benchChapters()).timings,
  pictures: benchPictures,
  ranks: benchRanks,
  screen: async () => (await benchScreen()).timings,
  hand: benchUnderHand,
  scroll: benchScrolling,
}
