import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { rankDay } from '../../../../core/ranks/standing'
import { SHARES } from '../../../../core/rivals/winnings'
import { DAY } from '../../../../core/time'
import { channelSeriesStore } from '../../../../server/data/channelSeries'
import { phraseStore } from '../../../../server/data/phrases'
import { rankStore } from '../../../../server/data/ranks'
import { videoStore } from '../../../../server/data/videos'
import { channelRanks, type ChannelRanksQuestion } from '../../../../server/ranks/channelRanks'
import { freshData, MIGRATIONS, standingClock, temporaryFolder } from '../files'
import { siteVideo } from '../pages'

const folder = temporaryFolder()

function setUp() {
  const clock = standingClock()
  const db = freshData(folder)
  const phrases = phraseStore(db, clock)
  const ranks = rankStore(db)
  const today = rankDay(clock())
  videoStore(db).saveVideos(
    [
      siteVideo('old', 'mine', { publishedAt: clock() - 90 * DAY }),
      siteVideo('new', 'mine', { publishedAt: clock() }),
      siteVideo('theirs'),
    ],
    clock(),
  )
  const figure = (phrase: string, volume: number | null) =>
    phrases.save([{ phrase, region: 'GB', volume }], 'en', { name: 'list', kind: 'import' }, clock())
  const put = (video: string, phrase: string, ago: number, rank: number | null, region = 'GB') => {
    const [phraseId] = phrases.phraseIds([phrase], 'en')
    ranks.save({ phraseId: phraseId!, region, kind: 'site' }, today - ago, new Map([[video, rank]]), 60)
  }
  const table = (kind: 'site' | 'web' = 'site', more: Partial<ChannelRanksQuestion> = {}) =>
    channelRanks(channelSeriesStore(db), { channel: 'mine', region: 'GB', kind, shares: SHARES, today, ...more })
  return { db, figure, put, table, today, ranks }
}

test('all videos of the channel in one table, what brings most first; others’ and other regions’ ranks are not in it', async () => {
  const { figure, put, table, today } = setUp()
  figure('much', 10_000)
  figure('little', 10)
  put('old', 'little', 0, 1)
  put('old', 'much', 40, 2)
  put('old', 'much', 28, 30)
  put('old', 'much', 7, 12)
  put('old', 'much', 0, 8)
  put('new', 'nobody knows', 0, 3)
  put('theirs', 'much', 0, 1)
  put('new', 'much', 0, 1, 'US')
  const { rows, more } = await table()
  expect(more).toBe(false)
  expect(rows.map(({ phrase, videoId }) => [phrase, videoId])).toEqual([
    ['much', 'old'],
    ['little', 'old'],
    ['nobody knows', 'new'],
  ])
  expect(rows[0]).toMatchObject({
    searches: 10_000,
    standing: { now: { day: today, rank: 8 }, best: { rank: 2, day: today - 40 }, week: { by: 4 }, month: { by: 22 } },
  })
  expect(rows[0]!.brings!.now).toBeCloseTo(10_000 * SHARES[7]!, 6)
  expect(rows[1]!.brings!.more).toBeNull()
  expect(rows[2]).toMatchObject({ searches: null, brings: null })
  expect((await table('web')).rows).toEqual([])
  // What it brought when it was last seen, long ago, says nothing of today.
  put('new', 'much', 28, 1)
  expect((await table()).rows.find(({ phrase, videoId }) => phrase === 'much' && videoId === 'new')).toMatchObject({
    standing: { now: { rank: 1 } },
    brings: null,
  })
})

test('some of the rows in any order; what is not known comes last either way, and sums are of all that are found', async () => {
  const { figure, put, table } = setUp()
  figure('true a wheel', 1000)
  figure('Wheel size', 100)
  put('old', 'true a wheel', 0, 1)
  put('old', 'wheel size', 0, 2)
  put('new', 'rusty chain', 0, null)
  put('new', 'old chain', 40, 5)
  const names = async (more: Partial<ChannelRanksQuestion>) =>
    (await table('site', more)).rows.map(({ phrase }) => phrase)
  expect(await names({ sort: { column: 'phrase', direction: 'asc' } })).toEqual([
    ...['old chain', 'rusty chain', 'true a wheel', 'wheel size'],
  ])
  expect(await names({ sort: { column: 'now', direction: 'asc' } })).toEqual([
    ...['true a wheel', 'wheel size', 'old chain', 'rusty chain'],
  ])
  expect(await names({ sort: { column: 'now', direction: 'desc' } })).toEqual([
    ...['old chain', 'wheel size', 'true a wheel', 'rusty chain'],
  ])
  const titles = (await table('site', { sort: { column: 'title', direction: 'asc' } })).rows.map(({ title }) => title)
  expect(titles).toEqual([...titles].sort((a, b) => (a.toLowerCase() < b.toLowerCase() ? -1 : 1)))
  expect(await names({ sort: { column: 'brings', direction: 'asc' }, limit: 1 })).toEqual(['wheel size'])
  expect(await names({ offset: 1, limit: 1 })).toEqual(['wheel size'])
  expect(await names({ offset: 9 })).toEqual([])
  const found = await table('site', { contains: ' WHEEL ', limit: 1 })
  expect(found).toMatchObject({ total: 2, fresh: { rows: 2 }, more: false })
  expect(found.rows).toHaveLength(1)
  expect(found.fresh.brings).toBeCloseTo(1000 * SHARES[0]! + 100 * SHARES[1]!, 6)
  expect(await table()).toMatchObject({ total: 4, fresh: { rows: 3 } })
})

test('the order of each column is that of its figures, as they are answered', async () => {
  const { figure, put, table } = setUp()
  const ranks = [4, 60, null, 1, 17, 30, 2, 9]
  for (const [i, rank] of ranks.entries()) {
    const phrase = `phrase ${i}`
    if (i % 3) figure(phrase, 1000 * (i + 1))
    for (const ago of [28, 7, 0]) put('old', phrase, ago, i % 2 ? rank : rank && rank + ago)
    if (i === 5) put('new', phrase, 60, 3)
  }
  const of: Record<string, (row: Awaited<ReturnType<typeof table>>['rows'][number]) => number | null | undefined> = {
    seen: row => row.standing.now.day,
    now: row => row.standing.now.rank,
    best: row => row.standing.best?.rank,
    week: row => row.standing.week?.by,
    month: row => row.standing.month?.by,
    searches: row => row.searches,
    brings: row => row.brings?.now,
    more: row => row.brings?.more,
  }
  for (const [column, figureOf] of Object.entries(of))
    for (const direction of ['asc', 'desc'] as const) {
      const sort = { column, direction } as ChannelRanksQuestion['sort'] & object
      const told = (await table('site', { sort })).rows.map(row => figureOf(row) ?? null)
      const known = told.filter(each => each !== null)
      expect(known).toEqual([...known].sort((a, b) => (direction === 'asc' ? a - b : b - a)))
      expect(told.slice(known.length).every(each => each === null)).toBe(true)
      expect(told).toHaveLength(9)
    }
  const { rows, fresh } = await table()
  expect(fresh.rows).toBe(8)
  expect(fresh.brings).toBeCloseTo(
    rows.reduce((sum, { brings }) => sum + (brings?.now ?? 0), 0),
    6,
  )
})

test('beyond ten thousand those of the newest videos are looked through, and that is told', async () => {
  const { db, put, table, today } = setUp()
  const addPhrase = db.prepare("INSERT INTO phrase (language, text, words) VALUES ('en', ?, 1)")
  const addSeries = db.prepare(
    "INSERT INTO rank_series (video, phrase_id, region, kind, told_last) VALUES ('new', ?, 'GB', 'site', ?)",
  )
  db.transaction(() => {
    for (let i = 0; i < 10_000; i++) {
      const { lastInsertRowid: id } = addPhrase.run(`many ${i}`)
      addSeries.run(id, today * 2 ** 24 + (1 + (i % 50)) * 2 ** 12 + 60)
    }
  })()
  expect(await table('site', { limit: 1 })).toMatchObject({ total: 10_000, fresh: { rows: 10_000 }, more: false })
  put('old', 'one more', 0, 1)
  const { total, more, rows } = await table('site', { limit: 2, sort: { column: 'now', direction: 'asc' } })
  expect([total, more]).toEqual([10_000, true])
  expect(rows.map(({ videoId, standing }) => [videoId, standing.now.rank])).toEqual([
    ['new', 1],
    ['new', 1],
  ])
  expect(await table('site', { contains: 'one more' })).toMatchObject({ rows: [], total: 0, more: true })
})

test('the best rank follows when a later look of its day replaces it', async () => {
  const { figure, put, table, today, ranks } = setUp()
  figure('a', 5)
  put('old', 'a', 10, 9)
  put('old', 'a', 3, 4)
  put('old', 'a', 0, null)
  const best = async () => (await table()).rows[0]!.standing.best
  expect(await best()).toMatchObject({ rank: 4, day: today - 3 })
  put('old', 'a', 3, 20)
  expect(await best()).toMatchObject({ rank: 9, day: today - 10 })
  put('old', 'a', 10, null)
  expect(await best()).toMatchObject({ rank: 20, day: today - 3 })
  expect(ranks.of({ video: 'old' })[0]!.days).toHaveLength(3)
  // Beyond the results read there is no best, and a rank of today is its own.
  put('old', 'b', 0, null)
  expect((await table()).rows.find(({ phrase }) => phrase === 'b')!.standing).toMatchObject({
    best: null,
    now: { rank: null },
  })
})

test('ranks kept by an earlier version stand as they would if they were kept now', async () => {
  const { db, put, table } = setUp()
  for (const [ago, rank] of [
    [40, 3],
    [30, null],
    [8, 9],
    [7, 12],
    [0, 15],
  ] as const)
    put('old', 'a', ago, rank)
  put('old', 'b', 2, null)
  const before = (await table()).rows
  expect(before).toHaveLength(2)
  db.prepare('UPDATE rank_series SET told_last = NULL, told_week = NULL, told_month = NULL, told_best = NULL').run()
  expect((await table()).rows).toEqual([])
  const migration = readFileSync(join(MIGRATIONS, '030-standings.sql'), 'utf8')
  db.exec(migration.slice(migration.indexOf('UPDATE')))
  expect((await table()).rows).toEqual(before)
})
