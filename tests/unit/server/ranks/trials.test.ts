import type { EditedValue } from '../../../../core/draft/manyEdit'
import { RULE_SETS } from '../../../../core/draft/ruleset'
import { PROFILES } from '../../../../core/draft/limits'
import { rankDay } from '../../../../core/ranks/standing'
import { DAY } from '../../../../core/time'
import { aimedStore } from '../../../../server/data/aimed'
import { editRunStore } from '../../../../server/data/editRuns'
import { phraseStore } from '../../../../server/data/phrases'
import { trialStore } from '../../../../server/data/trials'
import { videoBriefStore } from '../../../../server/data/videoBriefs'
import { videoChangeStore } from '../../../../server/data/videoChanges'
import { videoDayStore, type ToldDay } from '../../../../server/data/videoDays'
import { videoStore } from '../../../../server/data/videos'
import { workspaceStore } from '../../../../server/data/workspaces'
import { Jobs } from '../../../../server/jobs/jobs'
import { seenChanges, trialQuestions, type TrialAim } from '../../../../server/ranks/trialQuestions'
import { inTrialsOf, startTrial, startWave, stopTrial, trialAnswer, trialOf } from '../../../../server/ranks/trials'
import type { Services, SiteVideo } from '../../../../server/services/contract'
import type { Mends } from '../../../../core/draft/mends'
import type { TextToScore } from '../../../../server/threads/scoringThread'
import { freshData, standingClock, temporaryFolder } from '../files'
import { siteVideo } from '../pages'

const folder = temporaryFolder()
const WEEKS = 2

/** A channel of videos whose tags lack their lead, each with even views. */
function setUp(count = 16) {
  const clock = standingClock()
  const db = freshData(folder)
  const videos = videoStore(db)
  const made = Array.from({ length: count }, (_, i) =>
    siteVideo(`v${i}`, 'mine', { title: `Video ${i}`, tags: ['old'], publishedAt: clock() - (200 + i) * DAY }),
  )
  videos.saveVideos(made, clock())
  const there = new Map(made.map(video => [video.id, { ...video }]))
  const answer = <Data>(data: Data) => ({ source: 'the site', at: clock(), complete: true, data })
  const site = {
    video: (id: string) => Promise.resolve(answer(there.get(id) ?? null)),
    update(id: string, change: Partial<SiteVideo>) {
      Object.assign(there.get(id)!, change)
      return Promise.resolve(answer({ id, visibleFrom: null, problems: [] }))
    },
  } as unknown as Services['site']
  const workspaces = workspaceStore(db, videos, clock)
  const home = workspaces.create({ name: 'Shed', channelId: 'mine', region: 'GB' }).id
  const mend = (_: number, texts: TextToScore[]): Promise<Mends[]> =>
    Promise.resolve(
      texts.map(({ draft }) => ({
        percent: 50,
        lacks: null,
        mends: draft.tags!.includes('lead')
          ? []
          : [{ field: 'tags', label: 'Add it', check: 'tag-lead', points: 3, value: ['lead', ...draft.tags!] }],
      })),
    )
  const stores = {
    aimed: aimedStore(db),
    editRuns: editRunStore(db),
    jobs: new Jobs(db),
    phrases: phraseStore(db),
    scoring: { lanes: 1, mend },
    services: { site } as unknown as Parameters<typeof startWave>[0]['services'],
    trials: trialStore(db),
    videoBriefs: videoBriefStore(db),
    videoChanges: videoChangeStore(db),
    videoDays: videoDayStore(db),
    videos,
    workspaces,
    now: clock,
  }
  /** Days of all videos up to today, in which those changed have so many times as much. */
  function daysPass(times = 1) {
    const today = rankDay(clock())
    const days = made.flatMap(({ id }, i) =>
      Array.from({ length: 120 }, (_, k): ToldDay => {
        const day = today - 120 + k
        const change = stores.videoChanges.of(id).find(each => each.after.includes('lead'))
        const level = 40 + i + (day % 7)
        const views = change && day > rankDay(change.at) ? Math.round(level * times) : level
        return {
          ...{ video: id, day, impressions: null, clicks: null, views, watchedSeconds: null, search: null },
          ...{ suggested: null, subscribers: null, web: null, elsewhere: null },
        }
      }),
    )
    stores.videoDays.save(days, [], { source: 'table', at: clock() })
  }
  daysPass()
  const aim: TrialAim = {
    workspace: home,
    region: 'GB',
    set: RULE_SETS[0]!,
    profile: PROFILES[0]!,
    outcome: 'views',
    weeks: WEEKS,
  }
  const question = { check: 'tag-lead', field: 'tags' } as const
  async function begin(waves = 2) {
    const { fits } = await trialQuestions(stores, aim, question)
    const seen = Object.fromEntries(fits.map(each => [each.videoId, each.seen]))
    const terms = {
      workspaceId: home,
      ruleSet: 'Balanced',
      outcome: 'views',
      weeks: WEEKS,
      waves,
      ...question,
    } as const
    return startTrial(stores, terms, await seenChanges(stores, aim, { ...question, seen }))
  }
  const kept = (id: string) => trialOf(stores, home, id)
  /** The next wave, until it is done. */
  async function wave(id: string) {
    const at = startWave(stores, kept(id)).waves.findLast(({ run }) => run)!
    const { job } = at.run!
    await new Promise<void>(resolve => {
      stores.jobs.listen(job!.id, ({ name }) => {
        if (name === 'end') resolve()
      })
    })
    return trialAnswer(stores, kept(id))
  }
  const tagsOf = (id: string): EditedValue => there.get(id)!.tags!
  return { clock, stores, home, aim, question, there, daysPass, begin, kept, wave, tagsOf }
}

test('what can be tried is told with how many videos could take part, and what it would show', async () => {
  const { stores, aim, question } = setUp()
  const { questions, fits, videos, ready } = await trialQuestions(stores, aim)
  expect({ videos, ready, fits }).toEqual({ videos: 16, ready: 16, fits: [] })
  expect(questions).toEqual([{ ...question, videos: 16, pairs: 8, visible: expect.any(Number) }])
  // √(2 / 16 × (1/630 + 1/630) × π/3) of the counts, at 2.36 + .9 of Student’s t.
  expect(questions[0]!.visible).toBeGreaterThan(1.05)
  expect(questions[0]!.visible).toBeLessThan(1.15)
  const one = await trialQuestions(stores, aim, question)
  expect(one.fits).toHaveLength(16)
  expect(one.fits[0]).toMatchObject({ before: ['old'], after: ['lead', 'old'] })
})

test('half are drawn and changed, wave by wave; the answer comes after the time set, not before', async () => {
  const { clock, stores, begin, kept, wave, daysPass, tagsOf } = setUp()
  const trial = await begin()
  expect(trial).toMatchObject({ pairs: 8, answer: null, answerAt: null, disturbed: 0 })
  expect(trial.waves.map(({ videos }) => videos.length)).toEqual([4, 4])
  const drawn = trial.waves.flatMap(({ videos }) => videos.map(({ videoId }) => videoId))
  const first = await wave(trial.id)
  expect(first.waves[0]).toMatchObject({ begunAt: clock(), run: { changed: 4, waiting: 0, job: null } })
  expect(() => startWave(stores, kept(trial.id))).toThrow('not due yet')
  clock.pass(7 * DAY)
  const second = await wave(trial.id)
  expect(() => startWave(stores, kept(trial.id))).toThrow('No wave')
  const changed = Array.from({ length: 16 }, (_, i) => `v${i}`).filter(id => tagsOf(id).includes('lead'))
  expect(changed.sort()).toEqual([...drawn].sort())
  expect(second.answerAt).toBe((rankDay(clock()) + WEEKS * 7 + 1) * DAY)
  clock.pass(WEEKS * 7 * DAY)
  daysPass(1.5)
  expect(trialAnswer(stores, kept(trial.id)).answer).toBeNull()
  clock.pass(DAY)
  daysPass(1.5)
  const { answer } = trialAnswer(stores, kept(trial.id))
  expect(answer).toMatchObject({ state: 'more', pairs: 8 })
  expect(answer!.effect!.times).toBeCloseTo(1.5, 1)
  expect(answer!.effect!.low).toBeGreaterThan(1.4)
})

test('a pair of which one is changed otherwise tells nothing; with too few left there is no answer', async () => {
  const { clock, stores, begin, kept, wave, daysPass } = setUp(14)
  const { id } = await begin(1)
  await wave(id)
  const pairs = stores.trials.pairs(id)
  clock.pass(3 * DAY)
  stores.videoChanges.save(pairs[0]!.kept, [{ at: clock(), field: 'title', before: 'a', after: 'b' }])
  stores.videoChanges.save(pairs[1]!.changed, [{ at: clock(), field: 'tags', before: 'lead\nold', after: 'old' }])
  clock.pass(20 * DAY)
  daysPass(2)
  expect(trialAnswer(stores, kept(id))).toMatchObject({
    disturbed: 2,
    answer: { state: 'few', pairs: 5, effect: null },
  })
})

test('a video takes part in one trial at a time, and is free when it is over or given up', async () => {
  const { stores, home, aim, begin, kept } = setUp()
  const { id } = await begin()
  expect(inTrialsOf(stores, home).size).toBe(16)
  expect(await trialQuestions(stores, aim)).toMatchObject({ ready: 0, questions: [] })
  await expect(begin()).rejects.toThrow('12 videos at least')
  // Looked at before another window drew them: still no second trial.
  const changes = Array.from({ length: 16 }, (_, i) => ({ video: `v${i}`, level: i, before: ['old'], after: ['x'] }))
  const terms = { ruleSet: 'Balanced', field: 'tags', outcome: 'views', weeks: 2, waves: 1, check: 'tag-lead' } as const
  expect(() => startTrial(stores, { workspaceId: home, ...terms }, changes)).toThrow('and 0 can take part')
  expect(stopTrial(stores, kept(id))).toMatchObject({ stoppedAt: expect.any(Number), answer: null })
  expect(() => startWave(stores, kept(id))).toThrow('No wave')
  expect(inTrialsOf(stores, home).size).toBe(0)
  expect((await begin()).pairs).toBe(8)
})

test('what looks different from what was seen takes no part; other workspaces see nothing of it', async () => {
  const { stores, aim, question, begin, there, clock } = setUp()
  const { fits } = await trialQuestions(stores, aim, question)
  const seen = Object.fromEntries(fits.map(each => [each.videoId, each.seen]))
  const changed = { ...there.get('v3')!, tags: ['other'] }
  clock.pass(1000)
  stores.videos.saveVideos([changed], clock())
  const left = await seenChanges(stores, aim, { ...question, seen })
  expect(left.map(({ video }) => video)).not.toContain('v3')
  expect(left).toHaveLength(15)
  const { id } = await begin()
  const other = stores.workspaces.create({ name: 'Other' }).id
  expect(() => trialOf(stores, other, id)).toThrow('no such trial')
})

test('videos that are young, unknown or were changed lately are not ready', async () => {
  const { stores, aim, clock } = setUp()
  stores.videos.saveVideos([siteVideo('new', 'mine', { tags: ['old'], publishedAt: clock() - 20 * DAY })], clock())
  stores.videos.saveVideos([siteVideo('unseen', 'mine', { tags: ['old'], publishedAt: clock() - 300 * DAY })], clock())
  stores.videoChanges.save('v0', [{ at: clock() - 3 * DAY, field: 'title', before: 'a', after: 'b' }])
  expect(await trialQuestions(stores, aim)).toMatchObject({ videos: 18, ready: 15 })
})
