import { join } from 'node:path'
import { rankDay } from '../../../../core/ranks/standing'
import { DAY } from '../../../../core/time'
import { accountStore } from '../../../../server/data/accountChannels'
import { aimedStore } from '../../../../server/data/aimed'
import { briefItemStore } from '../../../../server/data/briefItems'
import { briefStore } from '../../../../server/data/briefs'
import { chanceModelStore } from '../../../../server/data/chanceModels'
import { phraseStore } from '../../../../server/data/phrases'
import { pictureStore } from '../../../../server/data/pictures'
import { publicationStore } from '../../../../server/data/publications'
import { putOffStore } from '../../../../server/data/putOff'
import { rankStore } from '../../../../server/data/ranks'
import { resultStore } from '../../../../server/data/results'
import { editRunStore } from '../../../../server/data/editRuns'
import { plannedChangeStore } from '../../../../server/data/plannedChanges'
import { trialStore } from '../../../../server/data/trials'
import { videoChangeStore } from '../../../../server/data/videoChanges'
import { videoBriefStore } from '../../../../server/data/videoBriefs'
import { videoDayStore } from '../../../../server/data/videoDays'
import { videoStore } from '../../../../server/data/videos'
import { watchStore } from '../../../../server/data/watches'
import { workspaceItemStore } from '../../../../server/data/workspaceItems'
import { workspaceStore } from '../../../../server/data/workspaces'
import { Jobs } from '../../../../server/jobs/jobs'
import { nextAnswer } from '../../../../server/next/next'
import { Chances } from '../../../../server/rivals/chances'
import { freshData, standingClock, temporaryFolder } from '../files'
import { pageOf, siteVideo } from '../pages'

const folder = temporaryFolder()

function setUp() {
  // Briefs tell when they were changed by this machine's clock.
  const clock = standingClock(Date.now())
  const briefClock = standingClock(Date.now() - 5 * DAY)
  const db = freshData(folder)
  const videos = videoStore(db)
  const phrases = phraseStore(db, clock)
  const ranks = rankStore(db)
  const results = resultStore(db)
  const workspaces = workspaceStore(db, videos, clock)
  const home = workspaces.create({ name: 'Shed', subscribers: 5000, channelId: 'mine', region: 'GB' }).id
  /** What the index finds for the channel's topics. */
  const found: object[] = []
  const stores = {
    search: { answer: () => Promise.resolve(JSON.stringify({ total: found.length, rows: found })) },
    accounts: accountStore(db),
    aimed: aimedStore(db),
    briefItems: briefItemStore(db, briefClock),
    briefs: briefStore(db, briefClock),
    chances: new Chances(chanceModelStore(db), null as never, clock),
    phrases,
    pictures: pictureStore(join(folder, 'pictures')),
    publications: publicationStore(db),
    putOff: putOffStore(db),
    editRuns: editRunStore(db),
    jobs: new Jobs(db),
    plannedChanges: plannedChangeStore(db),
    trials: trialStore(db),
    videoChanges: videoChangeStore(db),
    ranks,
    results,
    videoBriefs: videoBriefStore(db),
    videoDays: videoDayStore(db),
    videos,
    watches: watchStore(db, ranks, clock),
    workspaces,
    workspaceItems: workspaceItemStore(db, clock),
    now: clock,
  }
  const searched = (phrase: string, volume: number) => {
    phrases.save([{ phrase, region: 'GB', volume }], 'en', { name: 'list', kind: 'import' }, clock())
    return phrases.phraseIds([phrase], 'en')[0]!
  }
  const page = (phraseId: number) => {
    results.save([
      pageOf(
        phraseId,
        Array.from({ length: 20 }, (_, i) => siteVideo(`r${phraseId}-${i}`)),
        { at: clock(), more: true },
      ),
    ])
  }
  const own = (id: string, title: string, age = 200, channel = 'mine') => {
    videos.saveVideos(
      [siteVideo(id, channel, { title, publishedAt: clock() - age * DAY, durationSeconds: 100 })],
      clock(),
    )
  }
  const watched = (video: string, phraseId: number, ranksSeen: readonly (number | null)[] = []) => {
    const on = { phraseId, region: 'GB', kind: 'site' as const }
    stores.watches.add(home, [{ video, page: on }], 1)
    for (const [i, rank] of ranksSeen.entries())
      ranks.save(on, rankDay(clock()) - ranksSeen.length + 1 + i, new Map([[video, rank]]), 60)
  }
  const brief = (fields: object) => stores.briefs.create(fields, undefined, { workspace: home }).id
  const tray = (lead: string) => ({ lead, support: ['b'], setAside: [] })
  const next = () => nextAnswer(stores, home)
  return { clock, briefClock, stores, found, home, searched, page, own, watched, brief, tray, next }
}
const FELL = [...Array.from({ length: 20 }, () => 3), 14, 15, 16]

test('a workspace with nothing in it has nothing to do', async () => {
  const { next } = setUp()
  expect(await next()).toEqual({ rows: [], off: [], looked: { briefs: 0, videos: 0, ranks: 0, words: 0 } })
})

test('a rank that fell is told with what it costs; a rival that is watched is no matter of mine', async () => {
  const { own, searched, watched, next } = setUp()
  const chain = searched('bike chain', 1000)
  own('mine-1', 'Something about a bike chain')
  own('theirs', 'Theirs', 200, 'other')
  watched('mine-1', chain, FELL)
  watched('theirs', chain, FELL)
  const { rows, looked } = await next()
  expect(rows).toHaveLength(1)
  expect(rows[0]).toMatchObject({
    kind: 'fell',
    title: 'Something about a bike chain',
    phrase: 'bike chain',
    region: 'GB',
    video: 'mine-1',
    fall: { from: 3, to: 15 },
  })
  expect(rows[0]!.views).toBeCloseTo(1000 * 0.22 * (1 / 3 ** 1.1 - 1 / 15 ** 1.1), 6)
  expect(looked).toEqual({ briefs: 0, videos: 1, ranks: 1, words: 1 })
})

test('what it costs is not known where the searches are not', async () => {
  const { stores, own, watched, next } = setUp()
  own('mine-1', 'Chains')
  watched('mine-1', stores.phrases.phraseIds(['odd phrase'], 'en')[0]!, FELL)
  expect((await next()).rows[0]).toMatchObject({ kind: 'fell', views: null })
})

test('better words are proposed with the views they bring, and can be put off', async () => {
  const { clock, stores, home, own, searched, page, watched, next } = setUp()
  const chain = searched('bike chain', 9000)
  page(chain)
  own('mine-1', 'Something else altogether')
  watched('mine-1', chain)
  const { rows } = await next()
  expect(rows[0]).toMatchObject({ kind: 'mend', key: 'mend:mine-1', phrase: 'bike chain', video: 'mine-1' })
  expect(rows[0]!.views).toBeGreaterThan(1)
  stores.putOff.put(home, 'mend:mine-1', clock() + 7 * DAY, clock())
  const put = await next()
  expect(put.rows).toEqual([])
  expect(put.off).toMatchObject([{ key: 'mend:mine-1' }])
  clock.pass(8 * DAY)
  expect((await next()).rows).toMatchObject([{ key: 'mend:mine-1' }])
})

test('a release that is near or over, a lead left unwritten, and a video that nobody looks up', async () => {
  const { clock, briefClock, stores, searched, page, own, watched, brief, tray, next } = setUp()
  page(searched('bike chain', 9000))
  const soon = brief({ topic: 'Soon', releaseAt: clock() + DAY })
  const over = brief({ topic: 'Over', releaseAt: clock() - DAY })
  brief({ topic: 'Later', releaseAt: clock() + 9 * DAY })
  const settled = brief({ topic: 'Chains', region: 'GB', tray: tray('bike chain') })
  const out = brief({ topic: 'Out', tray: tray('rear mech') })
  stores.publications.begin({ id: 'p', briefId: out, channel: 'mine', file: 'a.mp4', bytes: 1, seconds: 1 })
  stores.publications.end('p', { state: 'out', video: 'mine-1', visibleFrom: 0, source: 'site' })
  own('mine-1', 'Out')
  const { rows } = await next()
  expect(rows.map(({ kind, brief }) => [kind, brief])).toEqual([
    ['release', over],
    ['release', soon],
    ['write', settled],
    ['watch', out],
  ])
  expect(rows[0]).toMatchObject({ overdue: true, due: clock() - DAY })
  expect(rows[1]).toMatchObject({ overdue: false })
  expect((rows[1] as { left: number }).left).toBeGreaterThan(3)
  const write = rows[2] as { chance: number; views: number }
  expect(write.chance).toBeGreaterThan(0)
  expect(write.views).toBeGreaterThan(1)
  expect(rows[3]).toMatchObject({ phrases: 2, video: 'mine-1', views: null })
  watched('mine-1', searched('rear mech', 10))
  // What is in hand is not proposed.
  briefClock.at = Date.now()
  stores.briefs.create({ topic: 'Now', region: 'GB', tray: tray('bike chain') }, undefined, {})
  expect((await next()).rows.map(({ kind }) => kind)).toEqual(['release', 'release', 'write'])
})

test('a new video that is shown as usual and clicked less says so, with the views that it misses', async () => {
  const { clock, stores, own, next } = setUp()
  const days = (video: string, released: number, length: number, clicks: number) =>
    Array.from({ length }, (_, i) => ({
      video,
      day: released + i,
      impressions: 1000 + ((i * 37) % 11),
      clicks,
      views: clicks,
      watchedSeconds: clicks * 40,
      search: null,
      suggested: null,
      subscribers: null,
      web: null,
      elsewhere: null,
    }))
  const by = { source: 'the site', at: clock(), retention: null }
  for (let i = 0; i < 8; i++) {
    own(`old${i}`, `Old ${i}`, 100 + i)
    stores.videoDays.saveSite(`old${i}`, days(`old${i}`, rankDay(clock()) - 100 - i, 40, 50), by)
  }
  own('new', 'A new one', 20)
  stores.videoDays.saveSite('new', days('new', rankDay(clock()) - 20, 20, 15), by)
  const [row] = (await next()).rows
  expect(row).toMatchObject({ kind: 'first', step: 'clicked', video: 'new', days: 20 })
  expect((row as { ratio: number }).ratio).toBeCloseTo(0.3, 1)
  // 1,005 impressions a day × (.05 − .015) × 30 days.
  expect(row!.views! / (1005 * 0.035 * 30)).toBeCloseTo(1, 1)
})

test('a phrase of my topics within reach is to be filmed; one that is searched near a place is not', async () => {
  const { own, found, searched, page, next } = setUp()
  for (const n of ['one', 'two', 'three']) own(`chain-${n}`, `Bike chain ${n}`)
  for (const [phrase, intent] of [
    ['rusty bike chain', null],
    ['bike chain near me', 'near'],
  ] as const) {
    page(searched(phrase, 4000))
    found.push({ phrase, intent, volume: 4000, difficulty: 40, chance: 0.6, readAs: null, results: 20 })
  }
  const { rows } = await next()
  expect(rows.map(({ kind, phrase }) => [kind, phrase])).toEqual([['film', 'rusty bike chain']])
  expect(rows[0]!.views).toBeGreaterThan(1)
})

test('a planned change is proposed from its day on, its answer for two weeks', async () => {
  const { clock, home, stores } = setUp()
  const today = rankDay(clock())
  const plan = { id: 'p1', video: 'out', field: 'title', note: 'Chains, cleaned', what: 'views', weeks: 1 } as const
  stores.plannedChanges.add(home, { ...plan, madeOn: today, day: today + 3 })
  const proposed = async () => (await nextAnswer(stores, home)).rows.filter(({ kind }) => kind === 'planned')
  expect(await proposed()).toEqual([])
  clock.pass(3 * DAY)
  expect(await proposed()).toMatchObject([
    {
      key: 'planned:p1:due',
      over: false,
      field: 'title',
      note: 'Chains, cleaned',
      due: (today + 3) * DAY,
      video: 'out',
    },
  ])
  stores.videoChanges.save('out', [{ field: 'title', before: 'a', after: 'b', at: clock() }])
  expect(await proposed()).toEqual([])
  clock.pass(8 * DAY)
  expect(await proposed()).toMatchObject([{ key: 'planned:p1:over', over: true, due: null }])
  clock.pass(14 * DAY)
  expect(await proposed()).toEqual([])
})

test('a wave of a trial is proposed when it is due, its answer for two weeks, and nothing of one given up', async () => {
  const { stores, home, clock } = setUp()
  const { trials } = stores
  const pairs = Array.from({ length: 6 }, (_, i) => ({
    ...{ wave: i % 2, changed: `a${i}`, kept: `b${i}` },
    ...{ before: ['x'], after: ['y'] },
  }))
  const terms = { check: 'tag-lead', ruleSet: 'Balanced', field: 'tags', outcome: 'views', weeks: 1, waves: 2 } as const
  trials.begin({ id: 't1', workspaceId: home, at: clock(), ...terms }, pairs)
  const proposed = async () => (await nextAnswer(stores, home)).rows.filter(({ kind }) => kind === 'trial')
  expect(await proposed()).toMatchObject([
    { title: 'Lead phrase among the tags', trial: 't1', wave: 1, waves: 2, videos: 3, due: clock(), views: null },
  ])
  trials.addWave('t1', 0, () => ({ id: 'r1', at: clock() }))
  expect(await proposed()).toEqual([])
  clock.pass(7 * DAY)
  expect(await proposed()).toMatchObject([{ wave: 2, key: 'trial:t1:1' }])
  trials.addWave('t1', 1, () => ({ id: 'r2', at: clock() }))
  clock.pass(8 * DAY)
  expect(await proposed()).toMatchObject([{ wave: null, videos: 12, due: null }])
  clock.pass(15 * DAY)
  expect(await proposed()).toEqual([])
  trials.begin({ id: 't2', workspaceId: home, at: clock(), ...terms }, pairs)
  expect(await proposed()).toHaveLength(1)
  trials.stop('t2', clock())
  expect(await proposed()).toEqual([])
})
