import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { dayName, rankDay } from '../../../../core/ranks/standing'
import { DAY } from '../../../../core/time'
import { askedStore } from '../../../../server/data/asked'
import { plannedChangeStore } from '../../../../server/data/plannedChanges'
import { publicationStore } from '../../../../server/data/publications'
import { videoChangeStore } from '../../../../server/data/videoChanges'
import { videoDayStore, type ToldDay } from '../../../../server/data/videoDays'
import { videoStore } from '../../../../server/data/videos'
import { workspaceStore } from '../../../../server/data/workspaces'
import { importDays } from '../../../../server/imports/importDays'
import { readDays } from '../../../../server/imports/readDays'
import { Jobs } from '../../../../server/jobs/jobs'
import { ownVideoNamed } from '../../../../server/ranks/ownVideoNamed'
import { lookAtViews, viewsAnswer } from '../../../../server/ranks/views'
import { startViews } from '../../../../server/ranks/viewsWork'
import { serviceError, type DayFigures, type Services } from '../../../../server/services/contract'
import { freshData, standingClock, temporaryFolder } from '../files'
import { siteVideo } from '../pages'

const folder = temporaryFolder()
const MINE = { id: 'home', channelId: 'mine' }

const figures = (at: number, views: number): DayFigures => ({
  day: new Date(at).toISOString().slice(0, 10),
  impressions: 10 * views,
  clicks: views,
  views,
  bySource: { search: views, suggested: 0, subscribers: 0, web: 0, elsewhere: 0 },
  watchedSeconds: 30 * views,
})

function setUp(tell: (id: string) => DayFigures[] | null = () => null, complete = true) {
  const clock = standingClock()
  const db = freshData(folder)
  const asked: string[] = []
  const site = {
    analytics: (id: string) => {
      asked.push(id)
      try {
        const days = tell(id)
        const data = days && { days, retention: Array.from({ length: 11 }, (_, i) => 1 - i / 20) }
        return Promise.resolve({ source: 'the site', at: clock(), complete, data })
      } catch (error) {
        return Promise.reject(error as Error)
      }
    },
  } as unknown as Services['site']
  const videos = videoStore(db)
  const own = (id: string, age: number, title = id) => ({
    ...siteVideo(id, 'mine', { publishedAt: clock() - age * DAY, durationSeconds: 60 }),
    title,
  })
  videos.saveVideos(
    [...Array.from({ length: 6 }, (_, i) => own(`v${i}`, 40 + i)), own('one', 39, 'Chains, cleaned')],
    clock(),
  )
  const deps = {
    plannedChanges: plannedChangeStore(db),
    publications: publicationStore(db),
    videoChanges: videoChangeStore(db),
    videoDays: videoDayStore(db),
    videos,
    asked: askedStore(db, clock),
    services: { site },
    now: clock,
  }
  return { db, clock, deps, asked, own }
}
const day = (video: string, of: number, views: number | null, more: Partial<ToldDay> = {}): ToldDay => ({
  video,
  day: of,
  impressions: null,
  clicks: null,
  views,
  watchedSeconds: null,
  search: null,
  suggested: null,
  subscribers: null,
  web: null,
  elsewhere: null,
  ...more,
})

test('what is told later replaces what was told before, figure by figure; what is not told stays', () => {
  const { deps } = setUp()
  const by = { source: 'a table', at: 5 }
  expect(deps.videoDays.save([day('one', 1, 7), day('one', 2, null)], [], by)).toEqual({ accepted: 2, updated: 0 })
  expect(deps.videoDays.save([day('one', 1, null, { clicks: 3 }), day('one', 2, 9)], [], by)).toEqual({
    accepted: 0,
    updated: 2,
  })
  expect(deps.videoDays.of('one')).toMatchObject([
    { day: 1, views: 7, clicks: 3, impressions: null },
    { day: 2, views: 9, clicks: null },
  ])
  expect(deps.videoDays.told('one')).toEqual({ source: 'a table', at: 5, askedAt: null, retention: null })
  expect(deps.videoDays.told('v0')).toBeNull()
})

test('the site is asked once a day, and tells days from a week before the last known one on', async () => {
  const { clock, deps, asked } = setUp(() => [figures(clock.at - 20 * DAY, 1), figures(clock.at - DAY, 5)])
  expect(await lookAtViews(deps, 'one')).toBeNull()
  await lookAtViews(deps, 'one')
  expect(asked).toEqual(['one'])
  // A table corrected an old day; the site does not put it back.
  deps.videoDays.save([day('one', rankDay(clock.at) - 20, 99)], [], { source: 'a table', at: clock.at })
  clock.pass(DAY)
  await lookAtViews(deps, 'one')
  expect(asked).toHaveLength(2)
  expect(deps.videoDays.of('one').map(({ views }) => views)).toEqual([99, 5, 5])
  const answer = viewsAnswer(deps, 'one', MINE, null)
  expect(answer).toMatchObject({ source: 'the site', releasedAt: expect.any(Number) as number, problem: null })
  expect(answer.retention).toHaveLength(11)
  expect(answer.firstWeeks).toMatchObject({ unknown: 'no-days', cause: null })
})

test('what the site does not tell is not asked for again that day; a fault and half an answer keep what is there', async () => {
  const none = setUp(() => null)
  expect(await lookAtViews(none.deps, 'one')).toBeNull()
  expect(await lookAtViews(none.deps, 'one')).toBeNull()
  expect(none.asked).toHaveLength(1)
  const broken = setUp(() => {
    throw serviceError('NotAsked', 'Nothing answers.')
  })
  expect(await lookAtViews(broken.deps, 'one')).toMatch(/Nothing answers/u)
  const half = setUp(() => [figures(Date.UTC(2026, 4, 1), 5)], false)
  expect(await lookAtViews(half.deps, 'one')).toMatch(/only a part/u)
  expect(half.deps.videoDays.of('one')).toEqual([])
  // By who may not spend calls nothing is asked.
  const quiet = setUp(() => [figures(Date.UTC(2026, 4, 1), 5)])
  expect(await lookAtViews({ ...quiet.deps, mayAsk: false }, 'one')).toBeNull()
  expect(quiet.asked).toEqual([])
})

test('all videos of the channel are asked for in a job, and it is judged beside them', async () => {
  const { db, clock, deps, asked } = setUp(id =>
    Array.from({ length: 50 }, (_, i) => ({
      ...figures(clock.at - (50 - i) * DAY, 1000),
      clicks: id === 'one' ? 300 : 1000,
    })),
  )
  const jobs = new Jobs(db)
  let told = 0
  const job = startViews({ ...deps, jobs }, 'mine', () => told++)!
  expect(job).toMatchObject({ kind: 'views', total: 7, title: 'Views of 7 videos' })
  expect(startViews({ ...deps, jobs }, 'mine', () => undefined)).toBeNull()
  while (jobs.get(job.id)!.state === 'running') await new Promise(resolve => setImmediate(resolve))
  expect(new Set(asked).size).toBe(7)
  expect(told).toBe(1)
  expect(startViews({ ...deps, jobs }, 'mine', () => undefined)).toBeNull()
  expect(viewsAnswer(deps, 'one', MINE, null).firstWeeks).toMatchObject({ cause: 'clicked', days: 28, unknown: null })
  expect(viewsAnswer(deps, 'v1', MINE, null).firstWeeks).toMatchObject({ cause: null })
  // Without a channel there is nothing to compare with.
  expect(viewsAnswer(deps, 'one', { ...MINE, channelId: null }, null).firstWeeks).toMatchObject({
    unknown: 'few-videos',
  })
})

test('a change is compared with the others of the channel; those that were changed meanwhile do not count', () => {
  const { clock, deps, own } = setUp()
  const today = rankDay(clock.at)
  const ids = ['one', ...Array.from({ length: 7 }, (_, i) => `old${i}`)]
  deps.videos.saveVideos(
    ids.map((id, i) => own(id, 200 + i)),
    clock.at,
  )
  const by = { source: 'a table', at: clock.at }
  for (const id of ids)
    deps.videoDays.save(
      Array.from({ length: 60 }, (_, i) => day(id, today - 60 + i, id === 'one' && i > 30 ? 200 : 100)),
      [],
      by,
    )
  const change = { field: 'title' as const, before: 'a', after: 'b' }
  deps.videoChanges.save('one', [
    { ...change, at: clock.at - 30 * DAY },
    { ...change, field: 'tags', at: clock.at - 30 * DAY },
  ])
  const [found, ...more] = viewsAnswer(deps, 'one', MINE, null).changes
  expect(more).toEqual([])
  expect(found).toMatchObject({
    fields: ['Title', 'Tags'],
    results: [{ what: 'views', state: 'more', controls: 7 }, {}, {}],
  })
  expect(found!.results[0]!.effect!.times).toBeCloseTo(2, 1)
  expect(found!.results[1]).toMatchObject({ what: 'search', state: 'no-days', effect: null })
  for (const id of ['old1', 'old2', 'old3']) deps.videoChanges.save(id, [{ ...change, at: clock.at - 25 * DAY }])
  expect(viewsAnswer(deps, 'one', MINE, null).changes[0]!.results[0]).toMatchObject({
    state: 'few-videos',
    controls: 4,
  })
})

test('a planned change is judged by what was settled, over its weeks alone, and not before they are over', async () => {
  const { clock, db, deps, own } = setUp()
  const { id: workspace } = workspaceStore(db, deps.videos, clock).create({ name: 'Shed', channelId: 'mine' })
  const mine = { id: workspace, channelId: 'mine' }
  const today = rankDay(clock.at)
  const ids = ['one', ...Array.from({ length: 7 }, (_, i) => `old${i}`)]
  deps.videos.saveVideos(
    ids.map((id, i) => own(id, 200 + i)),
    clock.at,
  )
  const by = { source: 'a table', at: clock.at }
  // Three times as much in the first week after the change, as before from then on.
  for (const id of ids)
    deps.videoDays.save(
      Array.from({ length: 60 }, (_, i) => day(id, today - 30 + i, id === 'one' && i > 30 && i < 38 ? 300 : 100)),
      [],
      by,
    )
  const plan = { id: 'p1', video: 'one', note: 'A shorter one', madeOn: today, day: today + 2, weeks: 1 } as const
  deps.plannedChanges.add(workspace, { ...plan, field: 'title', what: 'views' })
  const planned = () => viewsAnswer(deps, 'one', mine, null).planned[0]!
  expect(planned()).toMatchObject({ state: 'waiting', note: 'A shorter one', changedOn: null, result: null })
  deps.videoChanges.save('one', [{ field: 'tags', before: 'a', after: 'b', at: clock.at - 40 * DAY }])
  clock.pass(2 * DAY)
  expect(planned()).toMatchObject({ state: 'due', result: null })
  // Made as of the day it was planned on.
  deps.videoChanges.save('one', [{ field: 'title', before: 'a', after: 'b', at: clock.at - 2 * DAY }])
  clock.pass(5 * DAY)
  expect(planned()).toMatchObject({ state: 'running', changedOn: dayName(today), result: null })
  clock.pass(DAY)
  expect(planned()).toMatchObject({ state: 'over', answerOn: dayName(today + 8) })
  expect(planned().result).toMatchObject({ state: 'more', days: 7, controls: 7 })
  const { times } = planned().result!.effect!
  clock.pass(15 * DAY)
  // More days change nothing of an answer that was settled for one week.
  expect(planned().result!.effect!.times).toBeCloseTo(times, 9)
  expect(viewsAnswer(deps, 'one', mine, null).changes[0]!.results[0]!.days).toBe(21)
  // Another workspace knows nothing of it, and what is removed is gone.
  expect(viewsAnswer(deps, 'one', MINE, null).planned).toEqual([])
  expect(deps.plannedChanges.remove(workspace, 'two', 'p1')).toBe(false)
  expect(deps.plannedChanges.remove(workspace, 'one', 'p1')).toBe(true)
  expect(viewsAnswer(deps, 'one', mine, null).planned).toEqual([])
})

test('where nothing answers, the job gives up', async () => {
  const { db, deps, asked, own } = setUp(() => {
    throw serviceError('NotAsked', 'No.')
  })
  deps.videos.saveVideos(
    Array.from({ length: 30 }, (_, i) => own(`w${i}`, 100 + i)),
    deps.now(),
  )
  const said = jest.spyOn(console, 'error').mockImplementation(() => undefined)
  const jobs = new Jobs(db)
  const { id } = startViews({ ...deps, jobs }, 'mine', () => undefined)!
  while (jobs.get(id)!.state === 'running') await new Promise(resolve => setImmediate(resolve))
  expect(jobs.get(id)).toMatchObject({ state: 'failed', done: 12, problem: 'No. The rest is asked for again later.' })
  expect(new Set(asked).size).toBe(12)
  expect(said).toHaveBeenCalledTimes(1)
  said.mockRestore()
})

describe('a table', () => {
  let written = 0
  async function importing(
    text: string,
    named: (deps: ReturnType<typeof setUp>['deps']) => ReturnType<typeof ownVideoNamed>,
  ) {
    const { deps, clock, own } = setUp()
    deps.videos.saveVideos([own('t1', 60, 'Twice'), own('t2', 61, 'Twice')], clock.at)
    const file = join(folder, `table-${written++}`)
    writeFileSync(file, text)
    const question = { file, columns: null, order: null, decimal: null, zone: 'utc', today: rankDay(clock.at) }
    const result = () =>
      importDays(deps.videoDays, readDays(question), { source: 'table', videoOf: named(deps), now: clock.at })
    return { deps, result }
  }

  test('names videos by id or title; the same again changes nothing', async () => {
    const { deps, result } = await importing(
      'Content,Date,Views\nv1,2026-03-14,5\n chains,  CLEANED ,2026-03-14,6\n"chains,  CLEANED",2026-03-14,6\n' +
        'Twice,2026-03-14,7\nsomebody,2026-03-14,8\n,2026-03-14,9\nTotal,,35\n',
      open => ownVideoNamed(open, 'mine', null),
    )
    const first = await result()
    expect(first).toMatchObject({
      kind: 'imported',
      answer: { accepted: 2, updated: 0, totals: 1, videos: ['v1', 'one'], columns: { day: 'Date', views: 'Views' } },
    })
    const { rejected } = (first as { answer: { rejected: { line: number; reason: string }[] } }).answer
    expect(rejected.map(({ line }) => line)).toEqual([3, 5, 6, 7])
    expect(rejected[1]!.reason).toMatch(/Two videos are called/u)
    expect(rejected[2]!.reason).toMatch(/is no video of your channel/u)
    expect(rejected[3]!.reason).toMatch(/No video is named/u)
    expect(await result()).toMatchObject({ answer: { accepted: 0, updated: 2 } })
    expect(deps.videoDays.of('one')).toMatchObject([{ views: 6 }])
  })

  test('of one video, with the sites its views came from', async () => {
    const { deps, result } = await importing(
      'Date,Referrer,Views\n2026-03-14,forum.example,5\n2026-03-15,forum.example,6\n2026-03-15,club.example,2\n2026-03-16,forum.example,\n',
      open => ownVideoNamed(open, null, 'elsewhere'),
    )
    expect(await result()).toMatchObject({ answer: { accepted: 3, rejected: [{ line: 5 }] } })
    expect(deps.videoDays.referrers('elsewhere', 0)).toMatchObject([
      { name: 'club.example', views: 2 },
      { name: 'forum.example', views: 6 },
      { name: 'forum.example', views: 5 },
    ])
    expect(deps.videoDays.of('elsewhere')).toEqual([])
  })
})
