import { join } from 'node:path'
import { PlaceNames } from '../../../../core/demand/placeNames'
import { MODEL_VERSION } from '../../../../core/modelVersion'
import { AGAIN, askedStore } from '../../../../server/data/asked'
import { phraseStore } from '../../../../server/data/phrases'
import { resultStore } from '../../../../server/data/results'
import { assess, keptPage, PAGE_AGE_MS, type AssessDeps } from '../../../../server/demand/assess'
import { learn, lookUp, LOOK_AGE_MS, RETRY_MS } from '../../../../server/demand/lookUp'
import { PhraseIndex } from '../../../../server/demand/phraseIndex'
import { answerPhrases } from '../../../../server/demand/rows'
import { answerDetail } from '../../../../server/demand/sheet'
import { readHere } from '../../../../server/rivals/pageReader'
import { openUserData, type Db } from '../../../../server/data/open'
import { serviceError, type Services } from '../../../../server/services/contract'
import { openStandin } from '../../../../server/services/standin/standin'
import { makeWorld } from '../../../../server/services/standin/world'
import { phrasesQuerySchema, type AssessedRow, type PhrasesQuery } from '../../../../shared/phrases'
import { settingsSchema } from '../../../../shared/workspace'
import { freshData, MIGRATIONS, standingClock, temporaryFolder } from '../files'

const folder = temporaryFolder()
const world = join(folder, 'world.sqlite')
let standin: ReturnType<typeof openStandin>
beforeAll(() => {
  makeWorld(world, { phrases: 6000, videos: 1200, channels: 120 }, 3, Date.UTC(2026, 9, 15))
  standin = openStandin(world)
})
afterAll(() => {
  standin.close()
})

const clock = standingClock(Date.now())
/** The services with some calls replaced, and a count of what was asked. */
function services(
  replaced: {
    search?: Services['site']['search']
    volumes?: Services['demand']['volumes']
    suggest?: Services['web']['suggest']
  } = {},
) {
  const asked = { search: 0, related: 0 }
  return {
    asked,
    site: {
      ...standin.site,
      search: (...args: Parameters<Services['site']['search']>) => {
        asked.search++
        return (replaced.search ?? standin.site.search)(...args)
      },
    },
    demand: {
      ...standin.demand,
      volumes: replaced.volumes ?? standin.demand.volumes,
      related: (...args: Parameters<Services['demand']['related']>) => {
        asked.related++
        return standin.demand.related(...args)
      },
    },
    web: { ...standin.web, suggest: replaced.suggest ?? standin.web.suggest },
  }
}
function deps(given = services(), db = freshData(folder)) {
  return {
    db,
    phrases: phraseStore(db, clock),
    results: resultStore(db),
    asked: askedStore(db, clock),
    services: given,
    reader: readHere,
    now: clock,
  } satisfies AssessDeps & { db: Db }
}
/** The rows of a seed, from an index made for the question; caps worked out on the way are kept. */
function answer(
  { db, phrases }: { db: Db; phrases: ReturnType<typeof phraseStore> },
  query: PhrasesQuery,
  look: { id: number | null; missing: string[] } | null,
) {
  const told = answerPhrases(new PhraseIndex(db), phrases, {
    query: { ...query, region: query.region ?? '' },
    looks: [look?.id ?? null],
    missing: look?.missing ?? [],
    without: [],
    own: null,
  })
  for (const each of told.caps) phrases.putCap(each.region, each.cap, each.known)
  return told
}
/** The page of a phrase as its seats stand. */
async function pageOf(given: AssessDeps, phrase: string, depth = 20) {
  const { page } = await keptPage(given, phrase, 'GB', 'en', depth)
  return { page, seats: given.results.seats(page, depth) }
}
const anyone = { own: null, settings: settingsSchema.parse({}), places: new PlaceNames() }
const ask = (more: Record<string, unknown> = {}) =>
  phrasesQuerySchema.parse({ seed: 'bike chain', region: 'GB', limit: 1000, ...more })
async function all(rows: AsyncGenerator<AssessedRow>): Promise<AssessedRow[]> {
  const list: AssessedRow[] = []
  for await (const row of rows) list.push(row)
  return list
}

describe('looking a seed up', () => {
  test('gives related phrases with figures at home and everywhere', async () => {
    const given = deps()
    const look = await lookUp(given, 'Bike  chain', 'GB', 'en')
    expect(look.missing).toEqual([])
    const { rows, total, monthsEnd, modelVersion } = answer(given, ask(), look)
    expect(total).toBeGreaterThan(100)
    expect(rows).toHaveLength(total)
    expect(monthsEnd).toBe('2026-09')
    expect(modelVersion).toBe(MODEL_VERSION)
    const known = rows.filter(row => row.volume !== null)
    expect(known.length).toBeGreaterThan(100)
    for (const row of known) {
      expect(row.volumeAll).not.toBeNull()
      expect(row.months).toHaveLength(36)
      expect(row.source).toBe('demand data')
      expect(row.difficulty).toBeNull()
      expect(row.worth.anyone).toBeNull()
    }
  })

  test('a young look is not repeated; an old one is answered at once and refreshed behind', async () => {
    const given = deps()
    await lookUp(given, 'bike chain', 'GB', 'en')
    await lookUp(given, 'bike chain', 'GB', 'en')
    expect(given.services.asked.related).toBe(1)
    clock.pass(LOOK_AGE_MS + 1)
    const aged = given.phrases.look('bike chain', 'GB', 'en')!
    const look = await lookUp(given, 'bike chain', 'GB', 'en')
    expect(look).toMatchObject(aged)
    await look.refreshing
    expect(given.services.asked.related).toBe(2)
    expect(given.phrases.look('bike chain', 'GB', 'en')!.at).toBe(clock.at)
  })

  test('what fails is named, what came is kept; it is asked for again after a while behind the answer, or at once when that is wanted', async () => {
    let broken = true
    const given = deps(
      services({
        suggest: (...args) =>
          broken ? Promise.reject(serviceError('ServiceFailed', 'down')) : standin.web.suggest(...args),
      }),
    )
    const look = await lookUp(given, 'bike chain', 'GB', 'en')
    expect(look.missing).toEqual(['suggestions of web search'])
    expect(answer(given, ask(), look).total).toBeGreaterThan(100)
    const { related } = given.services.asked
    expect((await lookUp(given, 'bike chain', 'GB', 'en')).missing).toEqual(['suggestions of web search'])
    expect(given.services.asked.related).toBe(related)
    broken = false
    clock.pass(RETRY_MS)
    const later = await lookUp(given, 'bike chain', 'GB', 'en')
    expect(later.missing).toEqual(['suggestions of web search'])
    await later.refreshing
    expect((await lookUp(given, 'bike chain', 'GB', 'en')).missing).toEqual([])
    broken = true
    expect((await lookUp(given, 'bike chain', 'GB', 'en', true)).missing).toEqual(['suggestions of web search'])
  })

  test('a mistake of ours is not taken for a service’s fault', async () => {
    const given = deps(services({ volumes: () => Promise.reject(new TypeError('ours')) }))
    await expect(lookUp(given, 'bike chain', 'GB', 'en')).rejects.toThrow('ours')
  })

  test('figures of a phrase put in by hand are asked for once', async () => {
    const given = deps()
    expect(await learn(given, ['bike chain', 'nobody ever typed this'], 'GB', 'en')).toEqual([])
    expect(given.phrases.known('bike chain', 'GB', 'en')!.volume).toBeGreaterThan(0)
    expect(given.phrases.known('nobody ever typed this', 'GB', 'en')).toBeNull()
  })

  test('what nobody knows is not asked for again the same day, what failed after a minute, and none of many is left out', async () => {
    const calls: string[][] = []
    let broken = false
    const given = deps(
      services({
        volumes: (phrases, ...rest) => {
          calls.push(phrases)
          return broken
            ? Promise.reject(serviceError('ServiceFailed', 'down'))
            : standin.demand.volumes(phrases, ...rest)
        },
      }),
    )
    const many = Array.from({ length: 1200 }, (_, i) => `unheard of ${i}`)
    await learn(given, [...many, 'bike chain'], '', 'en')
    expect(new Set(calls.flat()).size).toBe(1201)
    calls.length = 0
    expect(await learn(given, [...many, 'bike chain'], '', 'en')).toEqual([])
    expect(calls).toEqual([])
    clock.pass(AGAIN.nothing)
    broken = true
    expect(await learn(given, ['unheard of 1'], '', 'en')).toEqual(['figures everywhere'])
    calls.length = 0
    expect(await learn(given, ['unheard of 1'], '', 'en')).toEqual(['figures everywhere'])
    expect(calls).toEqual([])
    broken = false
    clock.pass(AGAIN.failed)
    expect(await learn(given, ['unheard of 1'], '', 'en')).toEqual([])
    expect(calls).toEqual([['unheard of 1']])
  })
})

describe('filters and sorts', () => {
  let given: ReturnType<typeof deps>
  let look: Awaited<ReturnType<typeof lookUp>>
  // Nothing here but assessing changes what is known, and that only adds to it: one file serves all.
  beforeAll(async () => {
    given = deps(services(), openUserData(join(folder, 'rows.sqlite'), { migrations: MIGRATIONS }))
    look = await lookUp(given, 'bike chain', 'GB', 'en')
  })
  afterAll(() => {
    given.db.close()
  })
  const rows = (more: Record<string, unknown>) => answer(given, ask(more), look).rows

  test('each filter keeps just what it says', () => {
    expect(rows({ contains: 'clean' }).every(row => row.phrase.split(' ').includes('clean'))).toBe(true)
    expect(rows({ contains: 'clean' }).length).toBeGreaterThan(3)
    expect(rows({ minWords: 4, maxWords: 5 }).every(row => row.words >= 4 && row.words <= 5)).toBe(true)
    expect(rows({ minVolume: 50 }).every(row => row.volume! >= 50)).toBe(true)
  })

  test.each(['volume', 'volumeAll', 'change', 'words', 'competition', 'via'] as const)(
    '%s falls and rises, unknown ones last both ways',
    async column => {
      await all(
        assess(
          given,
          rows({ limit: 30 }).map(row => row.phrase),
          'GB',
          'en',
        ),
      )
      for (const direction of ['asc', 'desc'] as const) {
        const values = rows({ sort: `${column}:${direction}` }).map(row =>
          column === 'via' ? row.via.length : row[column],
        )
        const known = values.filter((value): value is number => value !== null)
        expect(values.slice(known.length).every(value => value === null)).toBe(true)
        expect(known).toEqual([...known].sort((a, b) => (direction === 'asc' ? a - b : b - a)))
      }
    },
  )

  test('a page of the rows is that page of all', () =>
    expect(rows({ limit: 10, offset: 20 })).toEqual(rows({}).slice(20, 30)))

  test('a greatest difficulty lets what is not assessed pass', async () => {
    const some = rows({ limit: 40 }).map(row => row.phrase)
    const assessed = await all(assess(given, some, 'GB', 'en'))
    const cut = assessed.map(row => row.difficulty!).sort((a, b) => a - b)[20]!
    const kept = new Set(rows({ maxDifficulty: cut }).map(row => row.phrase))
    for (const row of assessed) expect(kept.has(row.phrase)).toBe(row.difficulty! <= cut)
  })
})

describe('assessing', () => {
  test('gives each phrase the difficulty that its own result page answers with', async () => {
    const given = deps()
    const look = await lookUp(given, 'bike chain', 'GB', 'en')
    const names = answer(given, ask({ limit: 15 }), look).rows.map(row => row.phrase)
    const assessed = await all(assess(given, names, 'GB', 'en'))
    expect(assessed.map(row => row.phrase)).toEqual(names)
    for (const row of assessed) {
      const { page, seats } = await pageOf(given, row.phrase)
      expect(page.difficulty).toBe(row.difficulty)
      expect(page.title_matches).toBe(row.competition)
      // By hand: the mean of the strengths weighted by 1 / log2(rank + 1), over twenty seats.
      const weights = Array.from({ length: 20 }, (_, i) => 1 / Math.log2(i + 2))
      const mean =
        weights.reduce((sum, weight, i) => sum + weight * (seats[i]?.strength ?? 0), 0) /
        weights.reduce((sum, weight) => sum + weight, 0)
      expect(page.difficulty).toBeCloseTo(100 * mean, 6)
    }
    // Assessing asked; looking at the pages afterwards did not.
    expect(given.services.asked.search).toBe(names.length)
    const detail = answerDetail(given.phrases, given.results, names[0]!, 'GB', 'en', anyone)!
    expect(detail.worth.anyone).toBeCloseTo(assessed[0]!.worth.anyone!)
    expect(detail.figures.map(each => each.region)).toEqual(['GB', null])
  })

  test('equal requests at one time ask for a page once, and keep it once', async () => {
    const given = deps()
    await Promise.all([
      pageOf(given, 'bike chain'),
      pageOf(given, 'bike chain'),
      all(assess(given, ['bike chain'], 'GB', 'en')),
      pageOf(given, 'bike chain'),
    ])
    expect(given.services.asked.search).toBe(1)
    expect(given.results.past(given.phrases.phraseId('bike chain', 'en'), 'GB')).toHaveLength(1)
  })

  test('an old page is asked for anew, a deeper one too', async () => {
    const given = deps()
    await pageOf(given, 'bike chain')
    const deep = await pageOf(given, 'bike chain', 60)
    expect(deep.seats.length).toBeGreaterThan(20)
    expect(given.services.asked.search).toBe(2)
    // Page one is a page of twenty seats whatever depth was read.
    expect((await pageOf(given, 'bike chain')).seats).toHaveLength(20)
    expect(given.services.asked.search).toBe(2)
    clock.pass(PAGE_AGE_MS + 1)
    await pageOf(given, 'bike chain')
    expect(given.services.asked.search).toBe(3)
  })

  test('a page that a person imported stays at any age and depth, until one looks again', async () => {
    const given = deps()
    const phraseId = given.phrases.phraseId('bike chain', 'en')
    const { page: told, seats } = await pageOf(given, 'bike chain')
    const page = {
      phraseId,
      region: 'GB',
      kind: 'site' as const,
      source: 'mine.csv',
      at: told.at + 1,
      depth: 20,
      complete: true,
      more: true,
      titleMatches: null,
      videoBlock: null,
      intent: null,
      imported: true,
      seats: seats.map(({ code, title, strength }) => ({
        video: {
          id: code,
          title,
          description: null,
          tags: null,
          channel: { id: 'c', title: 'C', subscribers: null },
          views: null,
          likes: null,
          comments: null,
          publishedAt: null,
          durationSeconds: null,
          thumbnail: null,
        },
        strength: { strength: strength / 2, targeting: strength / 2, reach: null, pull: null },
      })),
    }
    given.results.keep([page])
    const asked = given.services.asked.search
    clock.pass(PAGE_AGE_MS + 1)
    expect((await pageOf(given, 'bike chain', 60)).page).toMatchObject({ source: 'mine.csv', imported: 1 })
    expect((await all(assess(given, ['bike chain'], 'GB', 'en')))[0]!.difficulty).toBeCloseTo(told.difficulty! / 2, 6)
    expect(given.services.asked.search).toBe(asked)
    const again = await keptPage(given, 'bike chain', 'GB', 'en', 20, 'site', true)
    expect(again.page).toMatchObject({ imported: 0, difficulty: expect.closeTo(told.difficulty!, 4) })
  })

  test('a page that was made up is asked for again once a live service is there', async () => {
    const given = deps()
    await pageOf(given, 'bike chain')
    const live = { ...given, services: { ...given.services, superseded: (source: string) => source === 'video site' } }
    await pageOf(live, 'bike chain')
    await all(assess(live, ['bike chain'], 'GB', 'en'))
    expect(given.services.asked.search).toBe(3)
  })

  test('who may not ask is answered from what is kept: nothing is asked, nothing written', async () => {
    const given = services()
    const open = deps(given)
    await pageOf(open, 'bike chain')
    const before = given.asked.search
    const closed = { ...open, now: Date.now, mayAsk: false }
    const changes = () => open.db.prepare('SELECT total_changes() AS n').get()
    const written = changes()
    expect(await keptPage(closed, 'bike chain', 'GB', 'en', 60)).toMatchObject({
      page: { depth: 20 },
      problem: expect.stringContaining('not contacted') as string,
    })
    await expect(keptPage(closed, 'bike bell', 'GB', 'en', 20)).rejects.toThrow('No saved results for “bike bell”')
    expect(await lookUp(closed, 'bike bell', 'GB', 'en')).toEqual({
      id: null,
      missing: [expect.stringContaining('not requested yet')],
    })
    expect(await learn(closed, ['bike bell'], 'GB', 'en')).toEqual(['figures for GB', 'figures everywhere'])
    const rows = await all(assess(closed, ['bike chain', 'bike bell'], 'GB', 'en'))
    expect(rows.map(row => row.problem)).toEqual([null, expect.stringContaining('not contacted')])
    expect(rows[0]!.difficulty).not.toBeNull()
    expect([given.asked.search, given.asked.related, changes()]).toEqual([before, 0, written])
  })

  test('half a page gives no difficulty and says so', async () => {
    const given = deps(
      services({ search: async (...args) => ({ ...(await standin.site.search(...args)), complete: false }) }),
    )
    const [row] = await all(assess(given, ['bike chain'], 'GB', 'en'))
    expect(row).toMatchObject({ complete: false, difficulty: null, worth: { anyone: null } })
    expect((await pageOf(given, 'bike chain')).page.difficulty).toBeNull()
  })

  test('a failing search is told in its row; the others are done', async () => {
    const given = deps(
      services({
        search: (...args) =>
          args[0] === 'bike bell'
            ? Promise.reject(serviceError('ServiceFailed', 'down'))
            : standin.site.search(...args),
      }),
    )
    const rows = await all(assess(given, ['bike chain', 'bike bell'], 'GB', 'en'))
    expect(rows[0]!.difficulty).not.toBeNull()
    expect(rows[1]).toMatchObject({ difficulty: null, problem: 'down' })
  })

  test('a stop keeps what was done', async () => {
    const given = deps()
    const look = await lookUp(given, 'bike chain', 'GB', 'en')
    const names = answer(given, ask({ limit: 60 }), look).rows.map(row => row.phrase)
    const stop = new AbortController()
    let done = 0
    for await (const row of assess(given, names, 'GB', 'en', stop.signal))
      if (row.difficulty !== null && ++done === 5) stop.abort()
    expect(done).toBeLessThan(30)
    expect(answer(given, ask(), look).rows.filter(row => row.difficulty !== null).length).toBeGreaterThanOrEqual(done)
  })
})
