/** A change that is planned for a day and judged after some weeks. All days are since 1970. */
export interface PlannedDays {
  madeOn: number
  /** The day it is planned for. */
  day: number
  /** Whole weeks after the change that are looked at. */
  weeks: number
}
export interface PlannedStanding {
  /** `waiting` for its day, `due` and not made yet, `running` until its weeks are over, or `over`. */
  state: 'waiting' | 'due' | 'running' | 'over'
  /** The day it was made; `null` while it was not. */
  changedOn: number | null
  /** The first day on which it is judged; not before it was made. */
  answerOn: number | null
}

/**
 * How far a planned change is.
 * @param changes the days on which its part of the video was changed, oldest first; the first one since it was planned
 *   is the one that is meant, also before its day.
 */
export function plannedStanding(
  { madeOn, day, weeks }: PlannedDays,
  changes: readonly number[],
  today: number,
): PlannedStanding {
  const changedOn = changes.find(each => each >= madeOn) ?? null
  if (changedOn === null) return { state: today < day ? 'waiting' : 'due', changedOn, answerOn: null }
  // The day of the change belongs to neither side, and today is not complete.
  const answerOn = changedOn + 1 + 7 * weeks
  return { state: today < answerOn ? 'running' : 'over', changedOn, answerOn }
}
