import fc from 'fast-check'
import { looksToDrop } from '../../../../core/rivals/thinning'
import { phraseStore } from '../../../../server/data/phrases'
import { resultStore, type PageToKeep } from '../../../../server/data/results'
import { retention } from '../../../../server/data/retention'
import { runs } from '../../../setup/runs'
import { freshData, temporaryFolder } from '../files'

const folder = temporaryFolder()
const DAY = 86_400_000
const NOW = 2000 * DAY

test('daily looks become weekly after two months and monthly after a year; the first and the last stay', () => {
  const looks = Array.from({ length: 800 }, (_, day) => NOW - day * DAY)
  const dropped = new Set(looksToDrop(looks, NOW))
  const ages = looks.flatMap((_, day) => (dropped.has(day) ? [] : [day]))
  expect(ages.filter(day => day <= 60)).toHaveLength(61)
  expect(ages.filter(day => day > 60 && day <= 365)).toHaveLength(43)
  expect(ages.filter(day => day > 365).length).toBeLessThan(17)
  expect(ages.at(-1)).toBe(799)
  expect(looksToDrop([NOW - 900 * DAY], NOW)).toEqual([])
})

test('what is kept is not thinned further by doing it again', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 1500 }), { maxLength: 80 }), days => {
      const looks = days.map(day => NOW - day * DAY)
      const dropped = new Set(looksToDrop(looks, NOW))
      const kept = looks.filter((_, i) => !dropped.has(i))
      expect(looksToDrop(kept, NOW)).toEqual([])
    }),
    { numRuns: runs(200) },
  )
})

const page = (phraseId: number, at: number): PageToKeep => ({
  phraseId,
  region: 'GB',
  kind: 'site',
  source: 'site',
  at,
  depth: 20,
  complete: true,
  more: false,
  titleMatches: 1,
  videoBlock: null,
  intent: null,
  seats: [
    {
      video: {
        id: 'v',
        title: 't',
        description: null,
        tags: null,
        channel: { id: 'c', title: 'C', subscribers: null },
        views: 1,
        likes: 0,
        dislikes: null,
        comments: 0,
        publishedAt: 0,
        durationSeconds: 1,
        thumbnail: null,
      },
      strength: { strength: 0.5, targeting: 0.5, reach: null, pull: null },
    },
  ],
})

test('old pages go with their seats, the standing one and other phrases’ stay', async () => {
  const db = freshData(folder)
  const phrases = phraseStore(db)
  const results = resultStore(db)
  const [id, other] = [phrases.phraseId('bike chain', 'en'), phrases.phraseId('bike bell', 'en')]
  results.save(Array.from({ length: 40 }, (_, day) => page(id, NOW - (100 + day) * DAY)))
  results.save([page(other, NOW - 900 * DAY)])
  const standing = results.latest(id, 'GB')!.id
  const { thin } = retention(db)
  expect((await thin(NOW)).pages).toBeGreaterThan(25)
  expect(results.latest(id, 'GB')!.id).toBe(standing)
  expect(results.past(id, 'GB').length).toBeLessThan(10)
  expect(results.latest(other, 'GB')).not.toBeNull()
  expect(db.prepare('SELECT count(*) FROM seat WHERE page_id NOT IN (SELECT id FROM result_page)').pluck().get()).toBe(
    0,
  )
  expect(await thin(NOW)).toEqual({ pages: 0, shortened: 0, figures: 0, interest: 0 })
})

test('of pages that are not young the first twenty results stay, of young ones and of the one that stands all', async () => {
  const db = freshData(folder)
  const phrases = phraseStore(db)
  const results = resultStore(db)
  const [id, other] = [phrases.phraseId('bike chain', 'en'), phrases.phraseId('bike bell', 'en')]
  const deep = (phraseId: number, days: number): PageToKeep => {
    const shallow = page(phraseId, NOW - days * DAY)
    const [seat] = shallow.seats
    const seats = Array.from({ length: 40 }, (_, i) => ({ ...seat!, video: { ...seat!.video, id: `v${i}` } }))
    return { ...shallow, depth: 60, seats }
  }
  results.save([deep(id, 100), deep(id, 59), deep(id, 1), deep(other, 300)])
  const kept = () =>
    db
      .prepare(
        `SELECT depth, more, (SELECT count(*) FROM seat WHERE page_id = id) AS seats FROM result_page
          ORDER BY phrase_id = ${other}, at`,
      )
      .all()
  const { pages, shortened } = await retention(db).thin(NOW)
  expect([pages, shortened]).toEqual([0, 1])
  const whole = { depth: 60, more: 0, seats: 40 }
  expect(kept()).toEqual([{ depth: 20, more: 1, seats: 20 }, whole, whole, whole])
  expect(results.past(id, 'GB').map(({ ids }) => ids.length)).toEqual([20, 20, 20])
  expect((await retention(db).thin(NOW)).shortened).toBe(0)
})

test('pages go a few at a time, so that others have their turn between', async () => {
  const db = freshData(folder)
  const results = resultStore(db)
  const id = phraseStore(db).phraseId('bike chain', 'en')
  results.save(Array.from({ length: 200 }, (_, day) => page(id, NOW - (100 + day) * DAY)))
  const count = db.prepare<[], number>('SELECT count(*) FROM result_page').pluck()
  const left = [count.get()!]
  let over = false
  const thinning = retention(db)
    .thin(NOW)
    .finally(() => {
      over = true
    })
  while (!over) {
    await new Promise(resolve => setImmediate(resolve))
    left.push(count.get()!)
  }
  expect((await thinning).pages).toBeGreaterThan(150)
  // Eight in one go; two goes are over before it is counted for the first time.
  expect(Math.max(...left.slice(1).map((pages, i) => left[i]! - pages))).toBeLessThanOrEqual(16)
})

test('what a source told before is thinned like looks, the figures that count stay; old interest by region goes', async () => {
  const db = freshData(folder)
  const phrases = phraseStore(db)
  for (let day = 300; day >= 0; day--)
    phrases.save(
      [{ phrase: 'bike chain', region: 'GB', volume: 1000 + day }],
      'en',
      { name: 'searches', kind: 'service' },
      NOW - day * DAY,
    )
  phrases.save(
    [{ phrase: 'bike chain', region: '', volume: 7 }],
    'en',
    { name: 'searches', kind: 'service' },
    NOW - 290 * DAY,
  )
  phrases.save([{ phrase: 'bike chain', region: '', volume: 8 }], 'en', { name: 'searches', kind: 'service' }, NOW)
  const id = phrases.phraseId('bike chain', 'en')
  const put = db.prepare(
    "INSERT INTO region_interest (phrase_id, region, volume, source, at) VALUES (?, ?, 5, 'searches', ?)",
  )
  put.run(id, 'GB', NOW - 10 * DAY)
  put.run(id, 'FR', NOW - 200 * DAY)
  const { thin } = retention(db)
  const { figures, interest } = await thin(NOW)
  expect(interest).toBe(1)
  const past = (region: string) =>
    db
      .prepare<[string], { at: number }>('SELECT at FROM figure_past WHERE region = ? ORDER BY at')
      .all(region)
      .map(row => (NOW - row.at) / DAY)
  expect(past('GB')).toHaveLength(300 - figures)
  expect(past('GB').filter(day => day <= 60)).toHaveLength(60)
  expect(past('GB').filter(day => day > 60).length).toBeLessThan(40)
  expect(past('GB')[0]).toBe(300)
  expect(past('')).toEqual([290])
  expect(phrases.known('bike chain', 'GB', 'en')?.volume).toBe(1000)
})

test('what is free in the file goes back to the disk, but for what the next days need', async () => {
  const db = freshData(folder)
  db.exec(`CREATE TABLE filler (bytes BLOB);
    INSERT INTO filler VALUES (zeroblob(20000000));
    DROP TABLE filler;`)
  const pages = () => Number(db.pragma('page_count', { simple: true }))
  const before = pages()
  await retention(db).thin(NOW)
  expect(db.pragma('freelist_count', { simple: true })).toBeLessThanOrEqual(2000)
  expect(pages()).toBeLessThan(before - 2500)
  expect(db.pragma('quick_check', { simple: true })).toBe('ok')
})
