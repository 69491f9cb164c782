import { join } from 'node:path'
import { MODEL_VERSION } from '../../../../core/modelVersion'
import { AGAIN } from '../../../../server/data/asked'
import { assess } from '../../../../server/demand/assess'
import { fetchMissingVolumes, lookUp, LOOK_AGE_MS, RETRY_MS } from '../../../../server/demand/lookUp'
import { openUserData } from '../../../../server/data/open'
import { serviceError } from '../../../../server/services/contract'
import { MIGRATIONS } from '../files'

import { all, answer, ask, clock, deps, services, standin, folder } from './standin'

describe('looking a seed up', () => {
  test('gives related phrases with figures at home and everywhere', async () => {
    const given = deps()
    const look = await lookUp(given, 'Bike  chain', 'GB', 'en')
    expect(look.missing).toEqual([])
    const { rows, total, monthsEnd, modelVersion } = answer(given, ask(), look)
    expect(total).toBeGreaterThan(100)
    expect(rows).toHaveLength(total)
    // The last complete month of the world's day, which is ours.
    const today = new Date()
    const last = new Date(Date.UTC(today.getUTCFullYear(), today.getUTCMonth() - 1))
    expect(monthsEnd).toBe(last.toISOString().slice(0, 7))
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

  test('with own data alone nothing is asked, and nothing is called missing', async () => {
    const given = deps()
    const own = { ...given, mayAsk: false, ownDataOnly: true }
    expect(await lookUp(own, 'bike chain', 'GB', 'en')).toMatchObject({ id: null, missing: [] })
    expect(await fetchMissingVolumes(own, ['bike chain'], 'GB', 'en')).toEqual([])
    expect(given.services.asked.related ?? 0).toBe(0)
    await lookUp(given, 'bike chain', 'GB', 'en')
    const look = await lookUp(own, 'bike chain', 'GB', 'en')
    expect(answer(given, ask(), look).total).toBeGreaterThan(100)
    expect(given.services.asked.related).toBe(1)
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
    expect(await fetchMissingVolumes(given, ['bike chain', 'nobody ever typed this'], 'GB', 'en')).toEqual([])
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
    await fetchMissingVolumes(given, [...many, 'bike chain'], '', 'en')
    expect(new Set(calls.flat()).size).toBe(1201)
    calls.length = 0
    expect(await fetchMissingVolumes(given, [...many, 'bike chain'], '', 'en')).toEqual([])
    expect(calls).toEqual([])
    clock.pass(AGAIN.nothing)
    broken = true
    expect(await fetchMissingVolumes(given, ['unheard of 1'], '', 'en')).toEqual(['figures everywhere'])
    calls.length = 0
    expect(await fetchMissingVolumes(given, ['unheard of 1'], '', 'en')).toEqual(['figures everywhere'])
    expect(calls).toEqual([])
    broken = false
    clock.pass(AGAIN.failed)
    expect(await fetchMissingVolumes(given, ['unheard of 1'], '', 'en')).toEqual([])
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
    expect(rows({ contains: 'clean' }).every(row => /\bclean/u.test(row.phrase))).toBe(true)
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
