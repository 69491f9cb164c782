import { randomBytes } from 'node:crypto'
import { setImmediate as nextTurn } from 'node:timers/promises'
import { v7 as uuid } from 'uuid'
import { seeded } from '../../core/random'
import { rankDay } from '../../core/ranks/standing'
import { drawTrial, LEAST_PAIRS, trialOutcome, type TriedPair } from '../../core/ranks/trial'
import { DAY } from '../../core/time'
import { editedText, type EditedValue } from '../../core/draft/manyEdit'
import type { Trial } from '../../shared/trials'
import type { KeptPair, KeptTrial, KeptWave } from '../data/trials'
import { Problem } from '../http/problem'
import { runAnswer, startRun, type EditManyDeps } from '../release/editMany'
import type { Runtime } from '../runtime'

/** What tells how a trial stands. */
export type TrialStores = Pick<
  Runtime,
  'editRuns' | 'jobs' | 'trials' | 'videoChanges' | 'videoDays' | 'videos' | 'now'
>

/** Days from one wave to the next: a week, as each weekday is a day of its own. */
const WAVE_DAYS = 7
const WEEK = 7

/** A pair whose change was begun: on which day, and whether another change came between. */
interface BegunPair {
  pair: KeptPair
  day: number
  isDisturbed: boolean
}

function begunPairs(
  { trials, videoChanges }: Pick<TrialStores, 'trials' | 'videoChanges'>,
  trial: KeptTrial,
  waves: readonly KeptWave[],
): BegunPair[] {
  const length = trial.weeks * WEEK
  const begun = new Map(waves.map(({ wave, at }) => [wave, at]))
  return trials.pairs(trial.id).flatMap(pair => {
    const at = begun.get(pair.wave)
    if (at === undefined) return []
    const changes = videoChanges.of(pair.changed)
    const after = editedText(pair.after)
    const made = changes.find(each => each.at >= at && each.field === trial.field && each.after === after)
    // One that could not be changed counts as drawn: leaving it out would choose.
    const day = rankDay(made?.at ?? at)
    const isNear = (each: { at: number }) => Math.abs(rankDay(each.at) - day) <= length
    // Saved twice by a break between, it is one change.
    const others = changes.filter(each => each.field !== trial.field || each.after !== after)
    return [{ pair, day, isDisturbed: [...others, ...videoChanges.of(pair.kept)].some(isNear) }]
  })
}

/** The day after which all pairs can be compared; `null` while waves are to come. */
const lastDayOf = (trial: KeptTrial, waves: readonly KeptWave[], begun: readonly BegunPair[]) =>
  waves.length < trial.waves ? null : Math.max(...begun.map(({ day }) => day)) + trial.weeks * WEEK

/** Videos that take part in trials that are under way. */
export function inTrialsOf(stores: Pick<TrialStores, 'trials' | 'now'>, workspace: string): Set<string> {
  const today = rankDay(stores.now())
  const taken = new Set<string>()
  for (const trial of stores.trials.of(workspace)) {
    if (trial.stoppedAt !== null) continue
    const waves = stores.trials.waves(trial.id)
    const last = waves.length < trial.waves ? null : rankDay(waves.at(-1)!.at) + trial.weeks * WEEK
    if (last !== null && today > last) continue
    for (const { changed, kept } of stores.trials.pairs(trial.id)) taken.add(changed).add(kept)
  }
  return taken
}

/** When each wave is due: a week after the one before. */
function dueTimes({ at, waves }: KeptTrial, begun: readonly KeptWave[]): number[] {
  const due: number[] = []
  for (let wave = 0; wave < waves; wave++) {
    const before = wave === 0 ? null : (begun[wave - 1]?.at ?? due[wave - 1]!)
    due.push(before === null ? at : before + WAVE_DAYS * DAY)
  }
  return due
}

/** How a trial stands; its answer when its time has come. */
export function trialAnswer(stores: TrialStores, trial: KeptTrial): Trial {
  const { editRuns, trials } = stores
  const made = trials.waves(trial.id)
  const standing = trialStanding(stores, trial)
  return {
    ...standing,
    waves: standing.waves.map((wave, i) => {
      const run = made[i] && editRuns.get(made[i].run)
      const state = run && runAnswer(stores, run)
      return { ...wave, run: state ? { ...state.counts, job: state.job } : null }
    }),
  }
}

/** What is read of a trial itself. */
export type StandingStores = Omit<TrialStores, 'editRuns' | 'jobs'>
type TrialStanding = Omit<Trial, 'waves'> & { waves: Omit<Trial['waves'][number], 'run'>[] }

/** The same, without what came of its waves' changes. */
function trialStanding(stores: StandingStores, trial: KeptTrial): TrialStanding {
  const { trials, videoDays, videos, now } = stores
  const { workspaceId: _, ...told } = trial
  const pairs = trials.pairs(trial.id)
  const waves = trials.waves(trial.id)
  const begun = begunPairs(stores, trial, waves)
  const last = lastDayOf(trial, waves, begun)
  const length = trial.weeks * WEEK
  const titleOf = (video: string) => videos.video(video)?.title ?? video
  const isOver = last !== null && rankDay(now()) > last && trial.stoppedAt === null
  return {
    ...told,
    waves: dueTimes(trial, waves).map((dueAt, wave) => ({
      dueAt,
      begunAt: waves[wave]?.at ?? null,
      videos: pairs
        .filter(pair => pair.wave === wave)
        .map(({ changed, kept }) => ({ videoId: changed, title: titleOf(changed), beside: titleOf(kept) })),
    })),
    pairs: pairs.length,
    disturbed: begun.filter(({ isDisturbed }) => isDisturbed).length,
    answerAt: last === null ? null : (last + 1) * DAY,
    answer: isOver ? trialOutcome(begun.flatMap(tried), trial.outcome, length) : null,
  }

  function tried({ pair: { changed, kept }, day, isDisturbed }: BegunPair): TriedPair[] {
    const daysOf = (video: string) => videoDays.of(video, day - length, day + length + 1)
    return isDisturbed ? [] : [{ day, changed: daysOf(changed), kept: daysOf(kept) }]
  }
}

/** Tells of each trial of a workspace, newest first. */
async function ofEach<Told>(
  { trials }: Pick<TrialStores, 'trials'>,
  workspace: string,
  tell: (trial: KeptTrial) => Told,
): Promise<Told[]> {
  const told: Told[] = []
  for (const trial of trials.of(workspace)) {
    // The days of all its videos are read for each.
    await nextTurn()
    told.push(tell(trial))
  }
  return told
}

/** How each trial of a workspace stands, newest first. */
export const trialAnswers = (stores: TrialStores, workspace: string): Promise<Trial[]> =>
  ofEach(stores, workspace, trial => trialAnswer(stores, trial))

/** The same, without what came of their waves' changes. */
export const trialStandings = (stores: StandingStores, workspace: string): Promise<TrialStanding[]> =>
  ofEach(stores, workspace, trial => trialStanding(stores, trial))

/** A change of a video that may take part. */
export interface TrialChange {
  video: string
  level: number
  before: EditedValue
  after: EditedValue
}

/**
 * Draws which videos are changed, and when. Nothing is changed yet.
 *
 * @throws Problem 409 with too few videos.
 */
export function startTrial(
  stores: TrialStores,
  trial: Pick<KeptTrial, 'workspaceId' | 'check' | 'ruleSet' | 'field' | 'outcome' | 'weeks' | 'waves'>,
  asked: readonly TrialChange[],
): Trial {
  const { trials, now } = stores
  // Another window may have drawn them meanwhile.
  const taken = inTrialsOf(stores, trial.workspaceId)
  const changes = asked.filter(({ video }) => !taken.has(video))
  if (changes.length < 2 * LEAST_PAIRS)
    throw new Problem(
      409,
      'too-few',
      `A trial needs ${2 * LEAST_PAIRS} videos at least, and ${changes.length} can take part as you saw them. Look again.`,
    )
  const of = new Map(changes.map(each => [each.video, each]))
  const pairs = drawTrial(changes, trial.waves, seeded(randomBytes(4).readUInt32LE())).map((pair): KeptPair => {
    const { before, after } = of.get(pair.changed)!
    return { ...pair, before, after }
  })
  const made: KeptTrial = { ...trial, id: uuid(), at: now(), stoppedAt: null }
  trials.begin(made, pairs)
  return trialAnswer(stores, made)
}

/** @throws Problem 404 for an unknown one. */
export function trialOf({ trials }: Pick<TrialStores, 'trials'>, workspace: string, id: string): KeptTrial {
  const trial = trials.get(id)
  if (trial?.workspaceId === workspace) return trial
  throw new Problem(404, 'no-such-trial', 'There is no such trial.')
}

/** Begins to change the videos of the next wave. @throws Problem 409 where none is due, or another change runs. */
export function startWave(stores: TrialStores & EditManyDeps, trial: KeptTrial): Trial {
  const { trials, now } = stores
  const waves = trials.waves(trial.id)
  const wave = waves.length
  if (trial.stoppedAt !== null || wave >= trial.waves)
    throw new Problem(409, 'no-wave', 'No wave of this trial is left to begin.')
  if (now() < dueTimes(trial, waves)[wave]!)
    throw new Problem(409, 'not-due', 'The next wave is not due yet: a week lies between two.')
  const parts = trials
    .pairs(trial.id)
    .filter(pair => pair.wave === wave)
    .map(({ changed, before, after }) => ({ video: changed, before, after }))
  trials.addWave(trial.id, wave, () =>
    startRun(stores, trial.workspaceId, { field: trial.field, trial: trial.check }, parts),
  )
  return trialAnswer(stores, trial)
}

/** Gives a trial up; what was changed stays until it is taken back. */
export function stopTrial(stores: TrialStores, trial: KeptTrial): Trial {
  stores.trials.stop(trial.id, stores.now())
  return trialAnswer(stores, stores.trials.get(trial.id)!)
}
