import { LEAST_PAIRS } from '../../core/ranks/trial'
import { rankDay } from '../../core/ranks/standing'
import type { Trial } from '../../shared/trials'
import { COMPARED_NAMES, timesRange, timesText } from './comparedWords'
import { counted, dayOnly } from './figures'

/** How a trial stands, in a few words. */
export function trialSaid(trial: Trial, now: number): string {
  const { waves, answerAt, answer, stoppedAt, outcome } = trial
  if (stoppedAt !== null) return 'Given up'
  const next = waves.findIndex(({ begunAt }) => begunAt === null)
  if (next >= 0) {
    const { dueAt } = waves[next]!
    return `Wave ${next + 1} of ${waves.length} ${dueAt <= now ? 'is due' : `is due ${dayOnly(rankDay(dueAt))}`}`
  }
  if (!answer) return `Answer on ${dayOnly(rankDay(answerAt!))}`
  const { state, effect } = answer
  const what = COMPARED_NAMES[outcome]
  if (state === 'few') return 'Not enough pairs are left to tell'
  if (state === 'unclear') return `${what}: no clear difference, ${timesRange(effect!)} as much`
  return `${what}: ${state}, ${timesRange(effect!)} as much`
}

/** How the answer came about. */
export function trialWorking({ answer, weeks, pairs, disturbed, outcome }: Trial): string {
  const known = `${counted(answer!.pairs, 'pair')} of ${pairs}${disturbed ? `; in ${counted(disturbed, 'pair')} one of the two was changed otherwise` : ''}`
  if (!answer!.effect) return `${known}. At least ${LEAST_PAIRS} are needed.`
  return (
    `${COMPARED_NAMES[outcome]} of the changed videos ${timesText(answer!.effect.times)} times what they would have been, ` +
    `nineteen times in twenty between ${timesRange(answer!.effect)}: how each went on in ${counted(weeks, 'week')} ` +
    `after its change, less how the other of its pair did in the same days. ${known}.`
  )
}
