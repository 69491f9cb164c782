import type { BriefFields } from '../brief/brief'
import { gapsOf } from '../descriptions/gaps'

/** How far a brief has come. */
export const STAGES = ['collecting', 'settled', 'written', 'ready', 'handed over', 'out'] as const
export type Stage = (typeof STAGES)[number]

/**
 * The stage of a brief, as it follows from what is there: phrases are collected until a lead is settled on; it is
 * written with title, description and tags, gaps filled; ready when nothing is left on its release sheet; handed over
 * with all its texts; out with the address of its video, or published from here.
 *
 * @param published whether the site has it. @param handedOver whether every step of the hand-over is done, and
 * @param left how many points are left on its sheet: both asked only where they decide.
 */
export function stageOf(
  { tray, title, description, tags, videoAddress }: BriefFields,
  { published, handedOver, left }: { published: boolean; handedOver: () => boolean; left: () => number },
): Stage {
  if (videoAddress || published) return 'out'
  const isWritten = title.trim() !== '' && description.trim() !== '' && tags.length > 0 && !gapsOf(description).length
  if (isWritten) return handedOver() ? 'handed over' : left() === 0 ? 'ready' : 'written'
  return tray.lead ? 'settled' : 'collecting'
}
