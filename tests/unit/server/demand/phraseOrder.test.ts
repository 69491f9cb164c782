import fc from 'fast-check'
import { words } from '../../../../core/text/words'
import { PHRASE_SORTS, type PhraseRow } from '../../../../shared/phrases'

import { service, setUp, ask, texts, figure, page } from './indexed'

test('judged for a channel, worth and chance are its own', () => {
  const given = setUp()
  const { phrases, results } = given
  phrases.save(
    [
      figure('bike easy', 100, { months: Array<number>(36).fill(100) }),
      figure('bike hard', 100, { months: Array<number>(36).fill(100) }),
    ],
    'en',
    service,
    1,
  )
  results.save([page(phrases.phraseId('bike easy', 'en'), 0.4), page(phrases.phraseId('bike hard', 'en'), 0.9)])
  const { rows } = ask(given, { sort: 'worth:desc', for: 'channel' }, { mine: true })
  expect(rows.map(row => row.phrase)).toEqual(['bike easy', 'bike hard'])
  expect(rows[0]!.chance).toBeGreaterThan(0.9)
  expect(rows[1]!.chance).toBeLessThan(0.05)
  expect(rows[0]!.worth.channel).toBeGreaterThan(rows[1]!.worth.channel!)
  expect(ask(given).rows[0]!.worth.channel).toBeNull()
})

test('the cap is the 99.9th percentile, and stands until a tenth more is known', () => {
  const given = setUp()
  given.phrases.save(
    Array.from({ length: 2000 }, (_, i) => figure(`bike ${i}`, (i + 1) * 1000)),
    'en',
    service,
    1,
  )
  const first = ask(given, { limit: 1 })
  expect(first.caps.find(each => each.region === 'GB')).toEqual({ region: 'GB', cap: 1_998_000, known: 2000 })
  given.phrases.save([figure('bike more', 9_000_000)], 'en', service, 1)
  expect(ask(given, { limit: 1 }).caps).toEqual([])
  given.phrases.save(
    Array.from({ length: 300 }, (_, i) => figure(`bike x${i}`, 9_000_000)),
    'en',
    service,
    1,
  )
  expect(ask(given, { limit: 1 }).caps[0]!.cap).toBe(9_000_000)
})

test('every sort and page of it is that of sorting all rows', () => {
  const given = setUp()
  const random = fc.sample(
    fc.record({
      words: fc.array(fc.constantFrom('chain', 'bell', 'how', 'clean', 'fix', 'oil'), { minLength: 1, maxLength: 4 }),
      volume: fc.option(fc.integer({ min: 0, max: 400 })),
      change: fc.option(fc.integer({ min: -100, max: 300 }).map(n => n / 100)),
      competition: fc.option(fc.nat(9)),
    }),
    700,
  )
  const seen = new Set<string>()
  given.phrases.save(
    random.flatMap(({ words: list, ...rest }) => {
      const phrase = `bike ${list.join(' ')}`
      if (seen.has(phrase)) return []
      seen.add(phrase)
      return [{ phrase, region: 'GB', ...rest }]
    }),
    'en',
    service,
    1,
  )
  const all = ask(given).rows
  expect(all.length).toBeGreaterThan(200)
  for (const column of PHRASE_SORTS) {
    for (const direction of ['asc', 'desc'] as const) {
      const key = (row: PhraseRow) =>
        column === 'via'
          ? row.via.length
          : column === 'worth'
            ? row.worth.anyone
            : column === 'season'
              ? (row.season?.strength ?? null)
              : column === 'words'
                ? words(row.phrase).length
                : row[column]
      const sorted = [...all]
        .sort((a, b) => {
          const [x, y] = [key(a), key(b)]
          if (x === null || y === null) {
            if (x !== y) return x === null ? 1 : -1
          } else if (x !== y) return (x < y ? -1 : 1) * (direction === 'asc' ? 1 : -1)
          return (b.volume ?? -1) - (a.volume ?? -1) || (a.phrase < b.phrase ? -1 : 1)
        })
        .map(row => row.phrase)
      expect(texts(ask(given, { sort: `${column}:${direction}`, offset: 90, limit: 40 }))).toEqual(
        sorted.slice(90, 130),
      )
    }
  }
})

test('the first of many are found wherever they stand in the order', () => {
  const given = setUp()
  // Two thousand stand behind sixty thousand others, or before them.
  given.phrases.save(
    Array.from({ length: 62_500 }, (_, i) => figure(`${i < 2000 ? 'low' : 'high'} bike ${i}`, i + 1)),
    'en',
    service,
    1,
  )
  expect(texts(ask(given, { contains: 'low', sort: 'volume:desc', limit: 3 }))).toEqual(
    [1999, 1998, 1997].map(i => `low bike ${i}`),
  )
  expect(texts(ask(given, { contains: 'low', sort: 'volume:asc', limit: 2, offset: 1500 }))).toEqual(
    [1500, 1501].map(i => `low bike ${i}`),
  )
  expect(texts(ask(given, { sort: 'volume:desc', limit: 2, offset: 100 }))).toEqual(
    [62_399, 62_398].map(i => `high bike ${i}`),
  )
  expect(texts(ask(given, { minVolume: '62490', sort: 'volume:asc', limit: 2 }))).toEqual(
    [62_489, 62_490].map(i => `high bike ${i}`),
  )
})

test('searches of everywhere that an import brings change the order by them in every region', () => {
  const given = setUp()
  const everywhere = (n: number, volume: (i: number) => number) =>
    Array.from({ length: n }, (_, i) => figure(`bike ${i}`, volume(i), { region: '' }))
  given.phrases.save(
    everywhere(2500, i => i),
    'en',
    service,
    1,
  )
  given.phrases.save([figure('bike 7', 5)], 'en', service, 1)
  const first = () => texts(ask(given, { sort: 'volumeAll:desc', limit: 2 }))
  expect(first()).toEqual(['bike 2499', 'bike 2498'])
  given.phrases.save(
    everywhere(40, i => 9000 - i),
    'en',
    service,
    2,
  )
  expect(first()).toEqual(['bike 0', 'bike 1'])
})
