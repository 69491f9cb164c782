import fc from 'fast-check'
import { words } from '../../../../core/text/words'
import { phraseStore } from '../../../../server/data/phrases'
import { placeStore } from '../../../../server/data/places'
import { resultStore } from '../../../../server/data/results'
import { PhraseIndex } from '../../../../server/demand/phraseIndex'
import { answerPhrases } from '../../../../server/demand/rows'
import { PHRASE_SORTS, phrasesQuerySchema, type PhraseRow } from '../../../../shared/phrases'
import { freshData, standingClock, temporaryFolder } from '../files'

const folder = temporaryFolder()
const service = { name: 'demand data', kind: 'service' as const }
const clock = standingClock()

function setUp() {
  const db = freshData(folder)
  const index = new PhraseIndex(db)
  const changed = (ids: readonly number[]) => {
    index.changed(ids)
  }
  return { db, index, phrases: phraseStore(db, clock, changed), results: resultStore(db, changed) }
}
type Given = ReturnType<typeof setUp>
const own = { strength: 0.6, spread: { offset: 0, sigma: 0.12, tau: 0.03 } }
function ask(
  { index, phrases }: Pick<Given, 'index' | 'phrases'>,
  more: Record<string, unknown> = {},
  besides: { look?: number | null; looks?: (number | null)[]; without?: string[]; mine?: boolean } = {},
) {
  const query = phrasesQuerySchema.parse({ seed: 'bike', region: 'GB', limit: 1000, ...more })
  return answerPhrases(index, phrases, {
    query: { ...query, region: query.region ?? '' },
    looks: besides.looks ?? [besides.look ?? null],
    missing: [],
    without: besides.without ?? [],
    own: besides.mine ? own : null,
  })
}
const texts = (answer: { rows: PhraseRow[] }) => answer.rows.map(row => row.phrase)
const figure = (phrase: string, volume: number | null, more = {}) => ({ phrase, region: 'GB', volume, ...more })
const page = (phraseId: number, strength: number) => ({
  phraseId,
  region: 'GB',
  kind: 'site' as const,
  source: 'site',
  at: 1,
  depth: 20,
  complete: true,
  more: true,
  titleMatches: 4,
  videoBlock: true,
  intent: 'buy' as const,
  seats: Array.from({ length: 20 }, (_, i) => ({
    video: {
      id: `v${phraseId}-${i}`,
      title: 't',
      description: null,
      tags: null,
      channel: { id: 'c', title: 'C', subscribers: null },
      views: 1,
      likes: 0,
      comments: 0,
      publishedAt: 0,
      durationSeconds: 1,
      thumbnail: null,
    },
    strength: { strength, targeting: strength, reach: null, pull: null },
  })),
})

test('several seeds bring all of theirs, each row once and with its seeds', () => {
  const given = setUp()
  const look = given.phrases.saveLook('saddle', 'GB', 'en', ['bike chain', 'saddle'], [], 1)
  const one = ask(given, { seed: 'chain' })
  const both = ask(given, { seed: 'chain, saddle\nbike bell', sort: 'phrase:asc' }, { looks: [null, look, null] })
  expect(both).toMatchObject({ seed: 'chain, saddle, bike bell', seeds: ['chain', 'saddle', 'bike bell'] })
  const seedsOf = (phrase: string) => both.rows.find(row => row.phrase === phrase)?.seeds
  expect(seedsOf('bike chain')).toEqual(['chain', 'saddle'])
  expect(seedsOf('saddle')).toEqual(['saddle'])
  expect(new Set(texts(both)).size).toBe(both.total)
  expect(texts(both)).toEqual(expect.arrayContaining(texts(one)))
  expect(one.rows.every(row => !('seeds' in row))).toBe(true)
})

test('phrases that hold the seed’s words, and those of its look, each once', () => {
  const given = setUp()
  const { phrases } = given
  phrases.save(
    [figure('bike chain', 5), figure('clean bike chain', 9), figure('chaîne bike', 1), figure('saddle', 7)],
    'en',
    service,
    1,
  )
  const look = phrases.saveLook('bike chain', 'GB', 'en', ['bike chain', 'saddle'], [], 1)
  expect(texts(ask(given, { seed: 'Bike chain' }, { look }))).toEqual(['clean bike chain', 'saddle', 'bike chain'])
  expect(texts(ask(given, { seed: 'bike chaine' }))).toEqual(['chaîne bike'])
  expect(texts(ask(given, { seed: '"bike" OR *' }))).toEqual([])
  expect(ask(given, { seed: 'bike', language: 'de' }).total).toBe(0)
})

test('a seed that hardly any phrase answers is told what is near it, apart from its rows', () => {
  const given = setUp()
  const parts = ['lube', 'tool', 'cleaner', 'guard', 'length', 'wear', 'wax', 'oil']
  given.phrases.save(
    parts.flatMap((part, i) => [figure(`bike chain ${part}`, 100 * (i + 1)), figure(`${part} brake`, 50 * (i + 1))]),
    'en',
    service,
    1,
  )
  const typed = given.phrases.saveLook('bike chian', 'GB', 'en', ['bike chian'], [], 1)
  const { rows, total, near } = ask(given, { seed: 'bike chian', limit: 5 }, { look: typed })
  expect([total, rows.map(row => row.phrase)]).toEqual([1, ['bike chian']])
  expect(near[0]).toEqual({ phrase: 'bike chain oil', why: '“chian” read as “chain”', seed: 'bike chian' })
  expect(near).toHaveLength(8)
  expect(
    ask(given, { seed: 'brakes' })
      .near.map(each => each.phrase)
      .slice(0, 2),
  ).toEqual(['oil brake', 'wax brake'])
  expect(ask(given, { seed: 'squeaky chain' }).near[0]).toEqual({
    phrase: 'bike chain oil',
    why: 'without “squeaky”',
    seed: 'squeaky chain',
  })
  // Where there are answers, on a later page and for what nothing is like there is none.
  for (const more of [
    { seed: 'bike chain' },
    { seed: 'bike chian', offset: 5 },
    { seed: 'zzqx blorb' },
    { seed: 'brakes', language: 'de' },
  ])
    expect(ask(given, more).near).toEqual([])
})

test('however many regions and languages are asked for, the last ones are held and the others loaded again', () => {
  const given = setUp()
  given.phrases.save([figure('bike bell', 7)], 'en', service, 1)
  for (const region of ['GB', 'US', 'FR', 'DE', 'ES', 'IT', 'NL', 'SE', 'NO', 'DK', 'FI', 'PL']) ask(given, { region })
  for (const language of ['de', 'fr', 'es', 'it', 'nl', 'sv', 'da', 'nb']) ask(given, { language })
  given.phrases.save([figure('bike bell', 9), figure('bike horn', 8)], 'en', service, 2)
  expect(ask(given).rows.map(row => [row.phrase, row.volume])).toEqual([
    ['bike bell', 9],
    ['bike horn', 8],
  ])
})

test('without a channel nothing of another’s orders the rows: its figures are unknown', () => {
  const given = setUp()
  given.phrases.save([figure('bike a', 10), figure('bike b', 500), figure('bike c', 90)], 'en', service, 1)
  for (const [text, strength] of [
    ['bike a', 0.1],
    ['bike b', 0.9],
    ['bike c', 0.5],
  ] as const)
    given.results.keep([page(given.phrases.phraseId(text, 'en'), strength)])
  expect(texts(ask(given, { sort: 'chance:desc' }, { mine: true }))).toEqual(['bike a', 'bike c', 'bike b'])
  for (const more of [{ sort: 'chance:desc' }, { sort: 'chance:asc' }, { sort: 'worth:desc', for: 'channel' }]) {
    const answer = ask(given, more)
    expect(texts(answer)).toEqual(['bike b', 'bike c', 'bike a'])
    expect(answer.rows.map(row => row.chance)).toEqual([null, null, null])
  }
})

test('what wordings ask for is told anew when places come to be known', () => {
  const given = setUp()
  given.phrases.save([figure('bike thornwick', 50), figure('bike bell', 5)], 'en', service, 1)
  expect(texts(ask(given, { intent: 'near' }))).toEqual([])
  placeStore(given.db).save([{ region: 'GB', name: 'Thornwick', population: 900 }], 'towns.csv')
  given.index.placesChanged()
  // Not worked out yet and worked out, it is the same.
  expect(ask(given).rows.map(row => row.intent)).toEqual(['near', null])
  expect(texts(ask(given, { intent: 'near' }))).toEqual(['bike thornwick'])
  expect(ask(given).rows.map(row => row.intent)).toEqual(['near', null])
})

test('what changes after it was loaded is found, sorted and judged as if it had been there', () => {
  const given = setUp()
  const { phrases, results, index } = given
  phrases.save([figure('bike chain', 500), figure('bike bell', 50)], 'en', service, 1)
  expect(texts(ask(given))).toEqual(['bike chain', 'bike bell'])
  phrases.save([figure('bike anvil', 200), figure('bike bell', 900)], 'en', service, 2)
  expect(texts(ask(given))).toEqual(['bike bell', 'bike chain', 'bike anvil'])
  expect(texts(ask(given, { sort: 'phrase:asc' }))).toEqual(['bike anvil', 'bike bell', 'bike chain'])
  results.keep([page(phrases.phraseId('bike anvil', 'en'), 0.3)])
  const [first] = ask(given, { sort: 'difficulty:asc' }).rows
  expect(first).toMatchObject({
    phrase: 'bike anvil',
    difficulty: expect.closeTo(30, 4),
    competition: 4,
    videoBlock: true,
  })
  expect(texts(ask({ index: new PhraseIndex(given.db), phrases }, { sort: 'phrase:asc' }))).toEqual(
    texts(ask(given, { sort: 'phrase:asc' })),
  )
  expect(index.prepare()).toBe(false)
})

test('tray and set-aside phrases stay away and are counted', () => {
  const given = setUp()
  given.phrases.save([figure('bike chain', 5), figure('bike bell', 4)], 'en', service, 1)
  expect(ask(given, {}, { without: ['Bike bell', 'never heard of'] })).toMatchObject({ total: 1, withheld: 1 })
})

describe('filters', () => {
  const wave = Array.from({ length: 36 }, (_, i) =>
    Math.round(1000 * Math.exp(0.5 * Math.cos((2 * Math.PI * (i - 3)) / 12))),
  )
  const growing = Array.from({ length: 36 }, (_, i) => Math.round(100 * Math.pow(1.5, i / 12)))
  test.each<[string, Record<string, unknown>, string[]]>([
    ['questions', { questions: '1' }, ['how to clean bike chain']],
    ['rising', { rising: '1' }, ['bike growing']],
    ['a season in March', { season: '3' }, ['bike wave']],
    ['both suggest it', { both: '1' }, ['bike chain']],
    ['web search shows videos', { block: '1' }, ['bike chain']],
    ['do it', { intent: 'do' }, ['how to clean bike chain']],
    ['buy, by wording or by results', { intent: 'buy' }, ['bike chain', 'cheap bike chain']],
    ['compare', { intent: 'compare' }, ['bike bell vs horn']],
    ['one of several terms', { contains: 'bell, clean chain' }, ['how to clean bike chain', 'bike bell vs horn']],
    ['none of several terms', { exclude: 'bell, chain,wave' }, ['bike growing']],
    [
      'least volume leaves out the unknown',
      { minVolume: '60', exclude: 'wave,growing' },
      ['bike chain', 'how to clean bike chain'],
    ],
    [
      'difficulty lets the unknown pass',
      { maxDifficulty: '50', contains: 'chain' },
      ['how to clean bike chain', 'cheap bike chain'],
    ],
    ['words', { minWords: 4 }, ['how to clean bike chain', 'bike bell vs horn']],
  ])('%s', (_, filter, expected) => {
    const made = setUpFilled()
    expect(texts(ask(made, filter))).toEqual(expected)
  })
  function setUpFilled() {
    const made = setUp()
    const { phrases, results } = made
    phrases.save(
      [
        figure('how to clean bike chain', 100),
        figure('bike chain', 5000),
        figure('cheap bike chain', 50),
        figure('bike bell vs horn', null),
        figure('bike wave', null, { months: wave, monthsEnd: '2026-12' }),
        figure('bike growing', null, { months: growing, monthsEnd: '2026-12' }),
      ],
      'en',
      service,
      1,
    )
    phrases.saveVia(['bike chain', 'bike wave'], 'en', 'video', 1)
    phrases.saveVia(['bike chain'], 'en', 'web', 1)
    results.keep([page(phrases.phraseId('bike chain', 'en'), 0.9)])
    return made
  }
})

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
  results.keep([page(phrases.phraseId('bike easy', 'en'), 0.4), page(phrases.phraseId('bike hard', 'en'), 0.9)])
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
  // Two thousand stand behind seventy thousand others, or before them.
  given.phrases.save(
    Array.from({ length: 72_000 }, (_, i) => figure(`${i < 2000 ? 'low' : 'high'} bike ${i}`, i + 1)),
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
    [71_899, 71_898].map(i => `high bike ${i}`),
  )
  expect(texts(ask(given, { minVolume: '71990', sort: 'volume:asc', limit: 2 }))).toEqual(
    [71_989, 71_990].map(i => `high bike ${i}`),
  )
})
