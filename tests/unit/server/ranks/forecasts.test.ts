import { emptyFields } from '../../../../core/brief/brief'
import { rankDay } from '../../../../core/ranks/standing'
import { DAY } from '../../../../core/time'
import { aimedStore } from '../../../../server/data/aimed'
import { briefItemStore } from '../../../../server/data/briefItems'
import { briefStore } from '../../../../server/data/briefs'
import { forecastStore, type KeptForecast } from '../../../../server/data/forecasts'
import { phraseStore } from '../../../../server/data/phrases'
import { publicationStore } from '../../../../server/data/publications'
import { rankStore } from '../../../../server/data/ranks'
import { resultStore } from '../../../../server/data/results'
import { videoDayStore } from '../../../../server/data/videoDays'
import { videoStore } from '../../../../server/data/videos'
import { watchStore } from '../../../../server/data/watches'
import { workspaceStore } from '../../../../server/data/workspaces'
import { chanceBefore } from '../../../../server/demand/chanceWorking'
import { chanceFor } from '../../../../server/demand/rows'
import { keepForecasts, linkForecasts, outcomes, Recalibrations } from '../../../../server/ranks/forecasts'
import { reachAnswer } from '../../../../server/ranks/reach'
import { reliabilityAnswer } from '../../../../server/ranks/reliability'
import { freshData, standingClock, temporaryFolder } from '../files'
import { pageOf, siteVideo } from '../pages'

const folder = temporaryFolder()

function setUp() {
  const clock = standingClock()
  const db = freshData(folder)
  const videos = videoStore(db)
  const forecasts = forecastStore(db)
  const phrases = phraseStore(db, clock)
  const ranks = rankStore(db, () => {
    recalibrations.noted()
  })
  const recalibrations: Recalibrations = new Recalibrations({ forecasts, ranks, videos }, 0)
  const workspaces = workspaceStore(db, videos, clock, undefined, id => recalibrations.of(id))
  const workspace = workspaces.create({ name: 'Shed', subscribers: 5000, channelId: 'mine' }).id
  const deps = {
    aimed: aimedStore(db),
    forecasts,
    phrases,
    ranks,
    recalibrations,
    results: resultStore(db),
    videoDays: videoDayStore(db),
    videos,
    workspaces,
    now: clock,
  }
  const briefs = briefStore(db, clock, briefItemStore(db, clock))
  const brief = (lead: string | null, support: string[] = []) =>
    briefs.create({ ...emptyFields(), topic: 't', region: 'GB', tray: { lead, support, setAside: [] } }, undefined, {
      workspace,
    })
  const page = (phrase: string) => {
    const [phraseId] = phrases.phraseIds([phrase], 'en')
    const page = Array.from({ length: 20 }, (_, i) => siteVideo(`${phrase}-${i}`))
    deps.results.save([pageOf(phraseId!, page, { at: clock(), more: true })])
  }
  /** A forecast of a video that came out so many days ago, and the rank it had so many days after that. */
  const came = (
    video: string,
    phrase: string,
    raw: number,
    rank: number | null,
    more: { after?: number; ago?: number } = {},
  ) => {
    const { after = 28, ago = 60 } = more
    const released = clock() - ago * DAY
    videos.saveVideos([siteVideo(video, 'mine', { publishedAt: released })], clock())
    const [phraseId] = phrases.phraseIds([phrase], 'en')
    const told: KeptForecast = {
      phraseId: phraseId!,
      region: 'GB',
      moment: 'published',
      at: released,
      chance: raw,
      raw,
      ranks: [3, 9],
      views: [50, 150],
      difficulty: 100 * (1 - raw),
      pageAt: released,
      source: 'site',
      learnt: false,
      model: 1,
    }
    forecasts.put({ workspace, brief: null, video }, told)
    ranks.save(
      { phraseId: phraseId!, region: 'GB', kind: 'site' },
      rankDay(released) + after,
      new Map([[video, rank]]),
      60,
    )
  }
  return { db, deps, clock, workspace, briefs, brief, page, came }
}

test('what is foretold is kept once at a moment, where a page is known; a later page does not change it', () => {
  const { deps, clock, workspace, briefs, brief, page } = setUp()
  page('bike chain')
  deps.phrases.phraseIds(['no page'], 'en')
  const { id } = brief('bike chain', ['no page', 'never heard of'])
  keepForecasts(deps, briefs.get(id)!, 'settled')
  expect(deps.forecasts.waiting(workspace)).toBe(1)
  clock.pass(DAY)
  page('bike chain')
  keepForecasts(deps, briefs.get(id)!, 'settled')
  expect(deps.forecasts.waiting(workspace)).toBe(1)
  page('no page')
  keepForecasts(deps, briefs.get(id)!, 'published')
  expect(deps.forecasts.waiting(workspace)).toBe(3)
  expect(deps.forecasts.ofVideos(workspace)).toEqual([])
  deps.forecasts.out(id, 'v1')
  expect(deps.forecasts.waiting(workspace)).toBe(0)
  const told = deps.forecasts.ofVideos(workspace)
  expect(told.map(({ phrase, moment }) => [phrase, moment])).toEqual(
    expect.arrayContaining([
      ['bike chain', 'settled'],
      ['bike chain', 'published'],
      ['no page', 'published'],
    ]),
  )
  for (const { chance, raw, ranks, source } of told) {
    expect(chance).toBe(raw)
    expect(chance).toBeGreaterThan(0)
    expect(ranks[0]).toBeLessThanOrEqual(ranks[1])
    expect(source).toBe('site')
  }
  // Without a lead nothing is settled.
  keepForecasts(deps, briefs.get(brief(null, ['bike chain']).id)!, 'settled')
  expect(deps.forecasts.waiting(workspace)).toBe(0)
})

test('cut off after the video was out, it is told for the video at the next start; for a brief that is gone it is dropped', () => {
  const { db, deps, workspace, briefs, brief, page } = setUp()
  page('bike chain')
  const [kept, gone] = [brief('bike chain'), brief('bike chain')]
  for (const { id } of [kept, gone]) keepForecasts(deps, briefs.get(id)!, 'published')
  const publications = publicationStore(db)
  publications.begin({ id: 'p', briefId: kept.id, channel: 'mine', file: 'a.mp4', bytes: 1, seconds: 1 })
  publications.end('p', { state: 'out', video: 'v9', visibleFrom: 0, source: 'site' })
  db.prepare('DELETE FROM brief WHERE id = ?').run(gone.id)
  expect(deps.forecasts.waiting(workspace)).toBe(1)
  deps.forecasts.settle()
  expect(deps.forecasts.waiting(workspace)).toBe(0)
  expect(deps.forecasts.ofVideos(workspace).map(({ video }) => video)).toEqual(['v9'])
  expect(db.prepare('SELECT count(*) FROM forecast').pluck().get()).toBe(1)
})

test('what came is where it stood four weeks after the release, or at the first look soon after', () => {
  const { deps, workspace, came } = setUp()
  came('on', 'a', 0.7, 20)
  came('late', 'a', 0.7, 5, { after: 40 })
  came('beyond', 'a', 0.7, null)
  came('off', 'a', 0.7, 21)
  came('early', 'a', 0.7, 1, { after: 20 })
  came('longAfter', 'a', 0.7, 1, { after: 43 })
  const found = outcomes(deps, workspace)
  expect(Object.fromEntries(found.map(({ video, came: is }) => [video, is]))).toEqual({
    on: true,
    late: true,
    beyond: false,
    off: false,
  })
  expect(reliabilityAnswer(deps, workspace)).toMatchObject({
    n: 4,
    videos: 4,
    needed: 12,
    corrected: { fixed: { videos: 4, by: null }, learnt: { videos: 0, by: null } },
    views: { n: 0 },
  })
})

test('of what is told of a video the last before its release counts; afterwards it is no forecast', () => {
  const { deps, clock, workspace, came } = setUp()
  came('v', 'a', 0.7, 5)
  const [told] = deps.forecasts.ofVideos(workspace)
  const { released, ...kept } = { ...told!, released: clock() - 60 * DAY }
  for (const [at, raw] of [
    [released - DAY, 0.2],
    [released + 1, 0.9],
  ] as const) {
    const [phraseId] = deps.phrases.phraseIds(['a'], 'en')
    deps.forecasts.put(
      { workspace, brief: null, video: 'v' },
      { ...kept, phraseId: phraseId!, moment: 'settled', at, raw },
    )
  }
  expect(deps.forecasts.ofVideos(workspace)).toHaveLength(3)
  expect(outcomes(deps, workspace).map(({ raw }) => raw)).toEqual([0.7])
})

test('from twelve videos on chances are corrected, in answers and in what is told next', () => {
  const { deps, workspace, briefs, brief, page, came } = setUp()
  page('bike chain')
  const before = deps.workspaces.standing(workspace).own!
  for (let i = 0; i < 11; i++) came(`v${i}`, `p${i}`, 0.9, null)
  expect(deps.workspaces.standing(workspace).own).toEqual(before)
  came('v11', 'p11', 0.9, null)
  const after = deps.workspaces.standing(workspace).own!
  expect(after.spread.recalibration!.offset).toBeLessThan(0)
  // A phrase's sheet says what its chance was before.
  const known = deps.phrases.known('bike chain', 'GB', 'en')!
  const chances = [before, after].map(own => chanceFor(known, own, 'GB'))
  expect(chances[1]).toBeLessThan(chances[0]!)
  expect(chanceBefore(known, before, 'GB', chances[0]!)).toBeNull()
  expect(chanceBefore(known, after, 'GB', chances[1]!)).toBeCloseTo(chances[0]!, 12)
  expect(chanceBefore(known, after, 'GB', null)).toBeNull()
  const { id } = brief('bike chain')
  keepForecasts(deps, briefs.get(id)!, 'settled')
  deps.forecasts.out(id, 'next')
  const told = deps.forecasts.ofVideos(workspace).find(({ video }) => video === 'next')!
  // What is told is corrected; what later corrections are learnt from is not.
  expect(told.chance).toBeLessThan(told.raw)
  const answer = reliabilityAnswer(deps, workspace)
  expect(answer).toMatchObject({
    n: 12,
    videos: 12,
    corrected: { fixed: { videos: 12, by: after.spread.recalibration } },
  })
  expect(answer.bins[9]).toMatchObject({ n: 12, came: 0, low: 0 })
  expect(answer.rows).toHaveLength(12)
})

test('views to win are judged by video, where the days are known', () => {
  const { deps, clock, workspace, came } = setUp()
  came('v', 'a', 0.5, 5, { ago: 120 })
  came('v', 'b', 0.5, 5, { ago: 120 })
  const released = rankDay(clock() - 120 * DAY)
  const none = {
    impressions: null,
    clicks: null,
    views: null,
    watchedSeconds: null,
    suggested: null,
    subscribers: null,
    web: null,
    elsewhere: null,
  }
  deps.videoDays.save(
    Array.from({ length: 90 }, (_, i) => ({ ...none, video: 'v', day: released + i, search: 2 })),
    [],
    { source: 'site', at: clock() },
  )
  // Two phrases of 50 to 150 views each; 180 came.
  expect(reliabilityAnswer(deps, workspace).views).toEqual({ n: 1, held: 1, below: 0, above: 0 })
})

test('reach: by what was foretold or is watched, four weeks after the release and not before', () => {
  const { deps, clock, workspace, came } = setUp()
  for (let i = 0; i < 6; i++) {
    came(`v${i}`, 'easy', 0.8, 4, { ago: 100 + 60 * i })
    came(`v${i}`, 'hard', 0.2, null, { ago: 100 + 60 * i })
  }
  // A rank found by the way says nothing of what the video was made for.
  const [phraseId] = deps.phrases.phraseIds(['by the way'], 'en')
  const way = { phraseId: phraseId!, region: 'GB', kind: 'site' as const }
  deps.ranks.save(way, rankDay(clock()), new Map([['v0', 50]]), 60)
  const found = reachAnswer(deps, workspace)
  expect(found).toMatchObject({ videos: 6, phrases: 12, won: 6 })
  expect(found.reach!.reach).toBeGreaterThan(20)
  expect(found.reach!.reach).toBeLessThan(80)
  expect(found.grew.at(-1)).toMatchObject({ at: clock(), videos: 6 })
  expect(found.grew.length).toBeLessThan(8)
  came('young', 'easy', 0.8, 1, { ago: 10, after: 5 })
  expect(reachAnswer(deps, workspace).videos).toBe(6)
})

test('watched phrases count for the reach with the difficulty known now', () => {
  const { db, deps, clock, workspace, page } = setUp()
  page('watched')
  const [phraseId] = deps.phrases.phraseIds(['watched'], 'en')
  const watches = watchStore(db, deps.ranks, clock)
  deps.videos.saveVideos([siteVideo('w', 'mine', { publishedAt: clock() - 50 * DAY })], clock())
  watches.add(workspace, [{ video: 'w', page: { phraseId: phraseId!, region: 'GB', kind: 'site' } }], 1)
  deps.ranks.save({ phraseId: phraseId!, region: 'GB', kind: 'site' }, rankDay(clock()), new Map([['w', 3]]), 60)
  expect(reachAnswer(deps, workspace)).toMatchObject({ videos: 1, phrases: 1, won: 1, reach: null, grew: [] })
})

test('what was foretold of a brief that was handed over by hand is judged by the video whose address it names', () => {
  const { db, deps, clock, workspace, briefs, page } = setUp()
  const stores = { ...deps, briefs, publications: publicationStore(db) }
  page('bike chain')
  const { id } = briefs.create(
    { ...emptyFields(), region: 'GB', tray: { lead: 'bike chain', support: [], setAside: [] } },
    undefined,
    { workspace },
  )
  keepForecasts(deps, briefs.get(id)!, 'settled')
  linkForecasts(stores)
  expect(deps.forecasts.waiting(workspace)).toBe(1)
  const { revisions } = briefs.get(id)!
  const value = 'https://videos.example/watch/byhand'
  briefs.patch(id, '0b5a6f5e-8f43-4f4e-9b7a-0d9f3a9b6c11', {
    videoAddress: { revision: revisions.videoAddress, value },
  })
  // Its video is not known yet.
  linkForecasts(stores)
  expect(deps.forecasts.waiting(workspace)).toBe(1)
  deps.videos.saveVideos([siteVideo('byhand', 'mine', { publishedAt: clock() + DAY })], clock())
  linkForecasts(stores)
  expect(deps.forecasts.waiting(workspace)).toBe(0)
  expect(deps.forecasts.ofVideos(workspace)).toMatchObject([{ video: 'byhand', phrase: 'bike chain' }])
})
