import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import type { EarnedColumnMap } from '../../../../core/formats/earnedColumns'
import { dayNamed, rankDay } from '../../../../core/ranks/standing'
import { SHARES } from '../../../../core/rivals/winnings'
import { DAY } from '../../../../core/time'
import { earnedStore } from '../../../../server/data/earned'
import { phraseStore } from '../../../../server/data/phrases'
import { placeStore } from '../../../../server/data/places'
import { rankStore } from '../../../../server/data/ranks'
import { videoDayStore, type ToldDay } from '../../../../server/data/videoDays'
import { videoStore } from '../../../../server/data/videos'
import { workspaceStore } from '../../../../server/data/workspaces'
import { importEarned } from '../../../../server/imports/importEarned'
import { readEarned } from '../../../../server/imports/readEarned'
import { earnedAnswer } from '../../../../server/ranks/earned'
import { ownVideoLinked } from '../../../../server/ranks/ownVideoLinked'
import { freshData, standingClock, temporaryFolder } from '../files'
import { siteVideo } from '../pages'

const folder = temporaryFolder()
let written = 0

/** Two videos of a channel, looked at over thirty days. */
function setUp() {
  const clock = standingClock()
  const db = freshData(folder)
  const today = rankDay(clock())
  const videos = videoStore(db)
  const own = (id: string, title: string, description: string) =>
    siteVideo(id, 'mine', { title, description, publishedAt: clock() - 90 * DAY })
  videos.saveVideos(
    [
      own('chain', 'Chains, cleaned', 'See https://shed.example/chain/?v=1 and https://shed.example/shop'),
      own('wheel', 'Wheels, trued', 'https://www.shed.example/wheel. And https://shed.example/shop'),
      own('quiet', 'Nothing told', ''),
    ],
    clock(),
  )
  const workspaces = workspaceStore(db, videos, clock)
  const home = workspaces.create({ name: 'Shed', channelId: 'mine', region: 'GB' }).id
  workspaces.putSettings(home, { earnings: { currency: 'GBP', each: { call: 40 } } })
  const phrases = phraseStore(db, clock)
  const ranks = rankStore(db)
  const videoDays = videoDayStore(db)
  const stores = { earned: earnedStore(db), places: placeStore(db), videos, workspaces }
  return {
    db,
    home,
    stores,
    today,
    workspaces,
    answer: (asked = {}) => earnedAnswer(stores, home, asked),
    /** A video's rank for a phrase on each of the last thirty days. */
    rank(video: string, phrase: string, searches: number, rank: number | null, region = 'GB') {
      phrases.save([{ phrase, region, volume: searches }], 'en', { name: 'list', kind: 'import' }, clock())
      const [phraseId] = phrases.phraseIds([phrase], 'en')
      for (let ago = 1; ago <= 30; ago++)
        ranks.save({ phraseId: phraseId!, region, kind: 'site' }, today - ago, new Map([[video, rank]]), 60)
    },
    /** So many views on each of some days before today. */
    views(video: string, each: number, search: number | null = null, days = 30) {
      const lines = Array.from({ length: days }, (_, i): ToldDay => ({
        ...{ video, day: today - 1 - i, impressions: null, clicks: null, views: each, watchedSeconds: null, search },
        ...{ suggested: null, subscribers: null, web: null, elsewhere: null },
      }))
      videoDays.save(lines, [], { source: 'table', at: clock() })
    },
    async read(table: string, { columns = null }: { columns?: EarnedColumnMap | null } = {}) {
      const file = join(folder, `earned-${written++}`)
      writeFileSync(file, table)
      const question = { file, columns, order: null, decimal: null, zone: 'UTC', today, currency: 'GBP' }
      const result = await importEarned(stores.earned, readEarned(question), {
        workspace: home,
        videoOf: ownVideoLinked(stores, 'mine', null),
      })
      if (result.kind !== 'imported') throw new Error(result.kind)
      return result.answer
    },
  }
}

test('nothing told is nothing, and no money is made up', async () => {
  const { answer } = setUp()
  expect(await answer()).toMatchObject({ kinds: [], kind: null, from: null, phrases: [], rate: null, currency: 'GBP' })
})

test('a table is read by id, title or link; orders of a day are added up; the same table again changes nothing', async () => {
  const { read, stores, home } = setUp()
  const table = [
    'Date,Video,Landing page,Orders,Revenue',
    '2026-05-01,chain,,1,£40.50',
    '2026-05-01,chain,,2,"£1,059.50"',
    '2026-05-02,"wheels,  TRUED",,1,',
    '2026-05-02,,http://shed.example/wheel/,1,12 GBP',
    '2026-05-02,,https://shed.example/shop,1,9',
    '2026-05-02,,https://other.example,1,9',
    '2026-05-02,chain,,1,$9',
    '2026-05-02,chain,,1.5,',
    'Total,,,9,',
  ].join('\n')
  const first = await read(table)
  expect(first).toMatchObject({ accepted: 3, updated: 0, totals: 1, videos: ['chain', 'wheel'] })
  expect(first.rejected.map(({ line, reason }) => [line, reason]).sort(([a], [b]) => Number(a) - Number(b))).toEqual([
    [6, '“https://shed.example/shop” stands in the descriptions of 2 videos. Name the video in a column.'],
    [7, '“https://other.example” stands in no description of your videos.'],
    [8, '“$9” is not in GBP.'],
    [9, '“1.5” is not a whole number.'],
  ])
  const lines = stores.earned.newest(home, 9)
  expect(lines).toContainEqual({
    ...{ video: 'chain', day: dayNamed('2026-05-01'), kind: 'order', link: '', count: 3, value: 1100 },
  })
  expect(await read(table)).toMatchObject({ accepted: 0, updated: 3 })
  expect(stores.earned.newest(home, 9)).toEqual(lines)
})

test('a column for each kind, or one that names the kind', async () => {
  const { read, stores, home } = setUp()
  await read('Datum;Video;Klicks;Anrufe\n1.5.2026;chain;12;3\n31.3.2026;chain;7;\n')
  await read('Day,Video id,Event name,Event count\n2026-05-01,wheel,purchase,2\n2026-05-01,wheel,scroll,9\n')
  expect(stores.earned.newest(home, 9).map(({ video, kind, count }) => [video, kind, count])).toEqual([
    ['chain', 'call', 3],
    ['chain', 'click', 12],
    ['wheel', 'order', 2],
    ['chain', 'click', 7],
  ])
  await expect(read('Day,Video\n2026-05-01,chain\n')).rejects.toThrow('unknown-columns')
})

test('what a video brought is divided among the ways its views came', async () => {
  const { answer, rank, read, today, views } = setUp()
  rank('chain', 'chain repair near me', 3044, 1)
  rank('chain', 'how a chain works', 3044, 1)
  rank('wheel', 'how a wheel works', 30_440, 1)
  views('chain', 1000)
  views('wheel', 1000)
  const day = (ago: number) => new Date((today - ago) * DAY).toISOString().slice(0, 10)
  await read(`Day,Video,Calls\n${day(30)},chain,60\n${day(1)},wheel,2\n`)
  const found = await answer()
  expect(found).toMatchObject({ kind: 'call', from: day(30), to: day(1), told: 62, counted: 62, withoutViews: [] })
  expect(found.kinds).toEqual([{ kind: 'call', count: 62, each: 40, eachFrom: 'set' }])
  // A hundred searches a day, of which the first rank's share looks: over thirty days.
  const line = found.phrases.find(({ phrase }) => phrase === 'how a chain works')!
  expect(line.views).toBeCloseTo((3044 / (365.25 / 12)) * 30 * SHARES[0]!, 6)
  expect(found.phrases.reduce((sum, { views: came }) => sum + came, 0)).toBeCloseTo(60_000, 6)
  expect(found.phrases.reduce((sum, { count }) => sum + count.value, 0)).toBeCloseTo(62, 6)
  expect(found.videos).toEqual([
    { id: 'chain', count: 60, views: 30_000 },
    { id: 'wheel', count: 2, views: 30_000 },
  ])
  expect(found.phrases.some(({ phrase }) => phrase === null)).toBe(true)
})

test('no more views by phrases than are known to have come by searching', async () => {
  const { answer, rank, read, today, views } = setUp()
  rank('chain', 'chain', 1_000_000, 1)
  views('chain', 100, 20)
  await read(`Day,Video,Orders\n${new Date((today - 30) * DAY).toISOString().slice(0, 10)},chain,3\n`)
  // What is told of one day is looked at over that day alone.
  const { phrases, from, to } = await answer()
  expect(from).toBe(to)
  expect(phrases.map(({ phrase, views: came }) => [phrase, came])).toEqual(
    expect.arrayContaining([
      ['chain', 20],
      [null, 80],
    ]),
  )
})

test('a video whose views are not known is named, and what it brought is told but not divided', async () => {
  const { answer, read, today, views } = setUp()
  views('chain', 50)
  const day = new Date((today - 5) * DAY).toISOString().slice(0, 10)
  await read(`Day,Video,Orders\n${day},chain,1\n${day},wheel,4\n`)
  expect(await answer()).toMatchObject({ told: 5, counted: 1, withoutViews: ['wheel'], videos: [{ id: 'chain' }] })
})

test('the value of an order is the mean of those whose value was told, unless the person sets it', async () => {
  const { answer, home, read, workspaces } = setUp()
  await read('Day,Video,Orders,Value\n2026-05-01,chain,2,30\n2026-05-02,chain,4,\n2026-05-03,chain,1,60\n')
  expect((await answer()).kinds).toEqual([{ kind: 'order', count: 7, each: 30, eachFrom: 'told' }])
  workspaces.putSettings(home, { earnings: { currency: 'GBP', each: { order: 25 } } })
  expect((await answer()).kinds[0]).toMatchObject({ each: 25, eachFrom: 'set' })
})

test('a part whose value is not told leaves the value of its day unknown, and does not make orders cheaper', async () => {
  const { answer, read } = setUp()
  await read('Day,Video,Orders,Value\n2026-05-01,chain,2,30\n2026-05-01,chain,4,\n2026-05-02,chain,1,20\n')
  expect((await answer()).kinds).toEqual([{ kind: 'order', count: 7, each: 20, eachFrom: 'told' }])
})

test('searches told of some of the days alone are no bound for all of them', async () => {
  const { answer, rank, read, today, views } = setUp()
  const day = (ago: number) => new Date((today - ago) * DAY).toISOString().slice(0, 10)
  rank('chain', 'chain', 1_000_000, 1)
  views('chain', 100)
  views('chain', 100, 20, 1)
  await read(`Day,Video,Orders\n${day(2)},chain,3\n${day(1)},chain,3\n`)
  expect((await answer()).phrases.map(({ phrase, views: came }) => [phrase, came])).toEqual([['chain', 200]])
})

test('a line is replaced by the next of its day, and removed by its own words', () => {
  const { home, stores, today } = setUp()
  const line = { video: 'chain', day: today - 1, kind: 'order', link: '', count: 1, value: null } as const
  expect(stores.earned.save(home, [line])).toEqual({ accepted: 1, updated: 0 })
  expect(stores.earned.tell(home, { ...line, count: 4 })).toEqual(line)
  expect(stores.earned.newest(home, 5)).toEqual([{ ...line, count: 4 }])
  expect(stores.earned.remove(home, { ...line, link: 'x' })).toBe(false)
  expect(stores.earned.remove(home, line)).toBe(true)
  expect(stores.earned.newest(home, 5)).toEqual([])
})
