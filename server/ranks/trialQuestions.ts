import { setImmediate as nextTurn } from 'node:timers/promises'
import type { LimitProfile } from '../../core/draft/limits'
import type { Edited, EditedValue } from '../../core/draft/manyEdit'
import type { RuleSet } from '../../core/draft/ruleset'
import type { Compared } from '../../core/ranks/sides'
import { rankDay } from '../../core/ranks/standing'
import { lately, visibleTimes, type Lately } from '../../core/ranks/trial'
import type { FittingVideo } from '../../shared/editMany'
import type { TrialQuestionsAnswer } from '../../shared/trials'
import { toSiteVideo } from '../data/videos'
import { seenOf } from '../release/editMany'
import type { Runtime } from '../runtime'
import { inLanes } from '../threads/inLanes'
import { inTime, unknownWhereLate } from '../threads/inTime'
import type { TextToScore } from '../threads/scoringThread'
import { aimsOf, likelyLeadOf } from './likelyLeads'
import { inTrialsOf, type TrialStores } from './trials'

type Stores = TrialStores &
  Pick<Runtime, 'aimed' | 'phrases' | 'videoBriefs' | 'workspaces'> & {
    scoring: Pick<Runtime['scoring'], 'lanes' | 'mend'>
  }

export interface TrialAim {
  workspace: string
  /** '' for everywhere. */
  region: string
  set: RuleSet
  profile: LimitProfile
  outcome: Compared
  weeks: number
}

/** Videos that are looked at: those with most of what is compared. */
const MOST_VIDEOS = 400
/** Videos whose days are read between two turns of others. */
const AT_ONCE = 20
/** Texts in one question to a thread: some tens of milliseconds. */
const TOGETHER = 8
const WEEK = 7

/** A video that could take part, with how it did lately. */
interface ReadyVideo extends Lately {
  video: string
}

/** Videos that could take part in a trial: old enough, known well enough, in no other, and not changed lately. */
async function readyFor(
  stores: Stores,
  { workspace, outcome, weeks }: TrialAim,
  codes: readonly string[],
): Promise<ReadyVideo[]> {
  const { videoChanges, videoDays, videos, now } = stores
  const today = rankDay(now())
  const length = weeks * WEEK
  const taken = inTrialsOf(stores, workspace)
  const ready: ReadyVideo[] = []
  for (const [i, video] of codes.entries()) {
    if (i % AT_ONCE === 0) await nextTurn()
    const released = videos.video(video)!.published_at
    if (released === null || taken.has(video)) continue
    if (videoChanges.of(video).some(({ at }) => rankDay(at) >= today - length)) continue
    const days = videoDays.of(video, today - 2 * length - 1, today)
    const done = lately(days, outcome, rankDay(released), today, length)
    if (done) ready.push({ video, ...done })
  }
  return ready.sort((a, b) => b.level - a.level).slice(0, MOST_VIDEOS)
}

/** A change that would make a video meet a check. */
interface ReadyChange extends ReadyVideo {
  check: string
  field: Edited
  before: EditedValue
  after: EditedValue
  points: number
}

/** For each of some videos, of every check that it lacks the ready-made change of a field that brings most points. */
async function changesOf(stores: Stores, aim: TrialAim, ready: readonly ReadyVideo[]): Promise<ReadyChange[]> {
  const { aimed, phrases, scoring, videoBriefs, videos, workspaces } = stores
  const { language } = workspaces.get(aim.workspace)!
  const briefOf = videoBriefs(aim.workspace)
  const aims = aimsOf(aimed, aim.workspace, aim.region, language)
  const found: ReadyChange[] = []
  const mended = inLanes(ready, { lanes: scoring.lanes, together: TOGETHER }, async (some, lane) => {
    const texts = some.map(({ video }) => toSiteVideo(videos.video(video)!))
    const asked = texts.map(({ id, title, description, tags }): TextToScore => {
      const lead = likelyLeadOf(phrases, {
        brief: briefOf(id),
        aimed: aims(id),
        title,
        tags,
        region: aim.region,
        language,
      })
      const draft = { title, description: description ?? undefined, tags: tags ?? undefined }
      return { draft, phrases: { lead: lead.lead, support: lead.support }, language: lead.language }
    })
    const scored = await inTime(asked, list => scoring.mend(lane, list, aim.set, aim.profile), unknownWhereLate)
    return some.map((each, i) => ({ each, texts: texts[i]!, mends: scored[i]?.mends ?? [] }))
  })
  for await (const { each, texts, mends } of mended) {
    const best = new Map<string, ReadyChange>()
    for (const { check, field, points, value } of mends) {
      const key = `${check} ${field}`
      const before = texts[field]
      if (before === null || (best.get(key)?.points ?? 0) >= points) continue
      best.set(key, { ...each, check, field, before, after: value, points })
    }
    found.push(...best.values())
  }
  return found
}

/** What can be tried over a channel’s videos, and of one question the videos that could take part; nothing is asked. */
export async function trialQuestions(
  stores: Stores,
  aim: TrialAim,
  of?: { check: string; field: Edited },
): Promise<TrialQuestionsAnswer> {
  const channel = stores.workspaces.get(aim.workspace)!.channelId
  const codes = channel === null ? [] : stores.videos.codesOfChannel(channel)
  const ready = await readyFor(stores, aim, codes)
  const questions = new Map<string, ReadyChange[]>()
  const fits: FittingVideo[] = []
  for (const change of await changesOf(stores, aim, ready)) {
    const key = `${change.check} ${change.field}`
    questions.set(key, [...(questions.get(key) ?? []), change])
    if (of && change.check === of.check && change.field === of.field) fits.push(toFit(stores, change))
  }
  return {
    questions: [...questions.values()]
      .map(changes => {
        const { check, field } = changes[0]!
        const pairs = Math.floor(changes.length / 2)
        return { check, field, videos: changes.length, pairs, visible: visibleTimes(changes, pairs) }
      })
      .sort((a, b) => b.videos - a.videos || a.check.localeCompare(b.check)),
    fits,
    videos: codes.length,
    ready: ready.length,
  }
}

const toFit = ({ videos }: Pick<Stores, 'videos'>, { video, before, after }: ReadyChange): FittingVideo => ({
  videoId: video,
  title: videos.video(video)!.title,
  before,
  after,
  seen: seenOf(before, after),
})

/** Of some videos those whose change is still the one that was looked at. */
export async function seenChanges(
  stores: Stores,
  aim: TrialAim,
  { check, field, seen }: { check: string; field: Edited; seen: Readonly<Record<string, string>> },
): Promise<ReadyChange[]> {
  const channel = stores.workspaces.get(aim.workspace)!.channelId
  const own = channel === null ? [] : stores.videos.codesOfChannel(channel)
  const ready = await readyFor(
    stores,
    aim,
    own.filter(code => Object.hasOwn(seen, code)),
  )
  const changes = await changesOf(stores, aim, ready)
  return changes.filter(
    each => each.check === check && each.field === field && seen[each.video] === seenOf(each.before, each.after),
  )
}
