import type { CheckResult } from '../../core/draft/score'

/** How points of checks are told. */
export const STATE_NAMES = { 'met': 'met', 'partly': 'partly met', 'missing': 'missing', 'n/a': 'does not apply' }
/** Points of a check that are still to be won. */
export const leftOf = (check: CheckResult) => check.outOf - check.points
/** Below ten with a tenth, where whole numbers would not part what differs. */
export const pointsText = (points: number) =>
  points < 10 ? points.toFixed(1).replace(/\.0$/u, '') : String(Math.round(points))
