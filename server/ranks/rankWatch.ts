import { setTimeout as wait } from 'node:timers/promises'
import { rankDay } from '../../core/ranks/standing'
import { counted } from '../../core/text/inWords'
import type { JobState } from '../../shared/jobs'
import type { DuePage, WatchStore } from '../data/watches'
import type { WorkspaceStore } from '../data/workspaces'
import type { Jobs } from '../jobs/jobs'
import type { Switchboard } from '../services/switchboard'
import { HALF, lookAtRank, type RankDeps } from './look'

/** Milliseconds after the start, between two times, and after work, when is looked whether pages are due. */
const BEGIN_AFTER = 3000
const LOOK_EVERY = 600_000
const SOON = 1000
/** Pages asked for at once. */
const AT_ONCE = 4
/** Waits after pages of which none could be looked up, in milliseconds; then it is given up for a while. */
const BACK_OFF = [2000, 10_000, 60_000] as const
/** Milliseconds until pages are tried again after they were given up, twice as long each time up to the most. */
const AGAIN = 1_800_000
const MOST_AGAIN = 6 * 3_600_000
/** Milliseconds between two times at which those who show ranks are told of new ones. */
const TELL_EVERY = 2000
/** A page that the site tells only half of is asked for so often in a day. */
const TRIES = 3

export interface WatchDeps extends RankDeps {
  watches: WatchStore
  workspaces: Pick<WorkspaceStore, 'get'>
  jobs: Jobs
  services: RankDeps['services'] & Pick<Switchboard, 'isNone'>
}
export interface WatchedPage extends Pick<DuePage, 'phrase' | 'region' | 'kind'> {
  problem: string | null
}

const nameOf = ({ phrase, region, language, kind }: DuePage) => [language, region, kind, phrase].join('\n')

/**
 * Looks watched pages up when they are due, in a job of its own. What is due follows from the days that are kept: work
 * that was cut off goes on with the pages that have none yet, and no page is asked for twice a day.
 */
export class RankWatch {
  private timer: NodeJS.Timeout | undefined
  private running = false
  /** The day on which a person stopped it: it goes on with the next one. */
  private stoppedOn = -1
  /** Whether a person wanted a look while one was under way. */
  private wanted = false
  private again = AGAIN
  private notBefore = 0
  private toldAt = 0
  /** How often a page came today: one that came whole is not due again. */
  private tries = new Map<string, number>()
  private triedOn = -1

  /**
   * @param deps what it works with, when it does. @param told called when ranks are known that were not.
   * @param backOff waits in milliseconds.
   */
  constructor(
    private readonly deps: () => WatchDeps,
    private readonly told: () => void = () => undefined,
    private readonly backOff: readonly number[] = BACK_OFF,
  ) {}

  /** Begins to look whether pages are due, from time to time. */
  begin(after = BEGIN_AFTER): void {
    clearTimeout(this.timer)
    this.timer = setTimeout(() => {
      this.check(this.wanted)
      this.begin(LOOK_EVERY)
    }, after).unref()
  }

  close(): void {
    clearTimeout(this.timer)
    this.timer = undefined
  }

  /**
   * Starts to look up what is due, unless that is under way or was put off.
   * @param byHand whether a person wants it now. @param id of a job that goes on.
   * @returns the job, or `null` where there is nothing to do.
   */
  check(byHand = false, id?: string): JobState | null {
    const { jobs, services, now } = this.deps()
    const day = rankDay(now())
    this.wanted = byHand && this.running
    if (this.running || services.isNone()) return null
    if (!byHand && (this.stoppedOn === day || Date.now() < this.notBefore)) return null
    const due = this.due(day)
    if (!due.length) return null
    this.running = true
    // Work that the end of the program cut off is taken up under its own name.
    const cutOff = jobs.list().find(({ kind, state }) => kind === 'ranks' && state === 'interrupted')
    return jobs.start(
      'ranks',
      `Ranks on ${counted(due.length, 'page')}`,
      {},
      due.length,
      signal => this.work(due, day, signal),
      id ?? cutOff?.id,
    )
  }

  private due(day: number): DuePage[] {
    if (this.triedOn !== day) this.tries.clear()
    this.triedOn = day
    return this.deps()
      .watches.due(day)
      .filter(page => (this.tries.get(nameOf(page)) ?? 0) < TRIES)
  }

  private async *work(due: readonly DuePage[], day: number, signal: AbortSignal): AsyncGenerator<WatchedPage> {
    // Until it is known otherwise: what ends by an error, as on a full disk, is not begun again at once either.
    let allRead = false
    try {
      let failed = false
      let inVain = 0
      for (let from = 0; from < due.length && !signal.aborted; from += AT_ONCE) {
        const batch = due.slice(from, from + AT_ONCE)
        const looked = await Promise.all(batch.map(page => this.look(page)))
        this.tell()
        yield* looked
        failed ||= looked.some(({ problem }) => problem !== null)
        inVain = looked.every(({ problem }) => problem !== null) ? inVain + 1 : 0
        if (!inVain || from + AT_ONCE >= due.length) continue
        const pause = this.backOff[inVain - 1]
        if (pause === undefined) throw this.givenUp(due.length - from, looked[0]!.problem!)
        await wait(pause, undefined, { signal }).catch(() => undefined)
      }
      allRead = !failed
    } finally {
      this.running = false
      if (allRead) this.again = AGAIN
      else if (!signal.aborted) this.putOff()
      this.told()
      // More may be watched by now than when it began.
      if (this.timer) this.begin(SOON)
      if (signal.aborted) this.stoppedOn = day
    }
  }

  /** Screens that show ranks load them anew, but not at every page. */
  private tell(): void {
    if (Date.now() - this.toldAt < TELL_EVERY) return
    this.toldAt = Date.now()
    this.told()
  }

  private async look(page: DuePage): Promise<WatchedPage> {
    const { phrase, region, language, kind, video, workspace } = page
    const deps = this.deps()
    const channel = deps.workspaces.get(workspace)?.channelId ?? null
    const { problem } = await lookAtRank(deps, { video, phrase, region, language, kind, channel })
    // A page that came may still leave another video of it waiting for its other half.
    if (problem === null || problem === HALF) this.tries.set(nameOf(page), (this.tries.get(nameOf(page)) ?? 0) + 1)
    return { phrase, region, kind, problem }
  }

  /** What failed is tried again later, and later each time. */
  private putOff(): void {
    this.notBefore = Date.now() + this.again
    this.again = Math.min(2 * this.again, MOST_AGAIN)
  }

  private givenUp(left: number, why: string): Error {
    const minutes = Math.round(this.again / 60_000)
    return new Error(`${why} ${counted(left, 'page')} could not be read; they are tried again in ${minutes} minutes.`)
  }
}
