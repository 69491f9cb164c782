import { rankDay } from '../../../../core/ranks/standing'
import { DAY } from '../../../../core/time'
import { phraseStore } from '../../../../server/data/phrases'
import { rankStore } from '../../../../server/data/ranks'
import { resultStore } from '../../../../server/data/results'
import { lookAtRank } from '../../../../server/ranks/look'
import { readHere } from '../../../../server/rivals/pageReader'
import { serviceError, type Services, type SiteVideo } from '../../../../server/services/contract'
import { siteVideo } from '../pages'
import { freshData, standingClock, temporaryFolder } from '../files'

const folder = temporaryFolder()

function setUp(found: () => SiteVideo[], complete: () => boolean = () => true) {
  const clock = standingClock()
  const db = freshData(folder)
  let asked = 0
  const site = {
    search: () => {
      asked++
      try {
        const data = { titleMatches: 5, videos: found() }
        return Promise.resolve({ source: 'site', at: clock(), complete: complete(), data })
      } catch (error) {
        return Promise.reject(error as Error)
      }
    },
  }
  const web = {
    blockVideos: () => {
      asked++
      return Promise.resolve({ source: 'web', at: clock(), complete: true, data: found() })
    },
    videoBlock: () => Promise.resolve({ source: 'web', at: clock(), complete: true, data: true }),
  }
  const deps = {
    phrases: phraseStore(db),
    results: resultStore(db),
    ranks: rankStore(db),
    services: { site, web } as unknown as Services,
    reader: readHere,
    now: clock,
  }
  const look = (video: string, more: Partial<Parameters<typeof lookAtRank>[1]> = {}) =>
    lookAtRank(deps, {
      video,
      phrase: 'Bike Chain',
      region: 'GB',
      language: 'en',
      kind: 'site',
      channel: 'mine',
      ...more,
    })
  return { deps, clock, look, asked: () => asked }
}
const PAGE = [siteVideo('a'), siteVideo('m1', 'mine'), siteVideo('b'), siteVideo('m2', 'mine')]

test('one page serves all my videos on it, and is asked for once a day', async () => {
  const { deps, clock, look, asked } = setUp(() => PAGE)
  const day = rankDay(clock())
  expect(await look('m1')).toEqual({ found: { day, rank: 2, depth: expect.any(Number) as number }, problem: null })
  expect(await look('m2')).toMatchObject({ found: { rank: 4 } })
  expect(asked()).toBe(1)
  expect(deps.ranks.of({ video: 'm2' })[0]!.days).toHaveLength(1)
  clock.pass(DAY)
  await look('m1')
  expect(asked()).toBe(2)
  expect(deps.ranks.of({ video: 'm2' })[0]!.days.map(({ rank }) => rank)).toEqual([4, 4])
})

test('not among the results is beyond what was read, and followed from then on', async () => {
  let page = PAGE
  const { deps, clock, look } = setUp(() => page)
  expect((await look('gone')).found).toMatchObject({ rank: null })
  clock.pass(DAY)
  page = [siteVideo('gone'), ...PAGE]
  await look('m1')
  expect(deps.ranks.of({ video: 'gone' })[0]!.days.map(({ rank }) => rank)).toEqual([null, 1])
})

test('half a page tells of what is on it, and nothing of what is not', async () => {
  let whole = false
  const { deps, look, asked } = setUp(
    () => PAGE,
    () => whole,
  )
  expect(await look('m1')).toMatchObject({ found: { rank: 2 }, problem: null })
  const missing = await look('gone')
  expect(missing.found).toBeNull()
  expect(missing.problem).toMatch(/only a part/u)
  expect(deps.ranks.of({ video: 'gone' })).toEqual([])
  // It is asked for again on the same day, and then it is known.
  whole = true
  expect((await look('gone')).found).toMatchObject({ rank: null })
  expect(asked()).toBe(3)
})

test('a site that fails leaves the day open and says why; what was known stays', async () => {
  let fails = false
  const { deps, clock, look } = setUp(() => {
    if (fails) throw serviceError('NotAsked', 'The service cannot be reached.')
    return PAGE
  })
  await look('m1')
  fails = true
  clock.pass(DAY)
  expect(await look('m1')).toEqual({ found: null, problem: expect.stringMatching(/cannot be reached/u) as string })
  expect(deps.ranks.of({ video: 'm1' })[0]!.days).toHaveLength(1)
})

test('the block of a web search is looked at by itself', async () => {
  const { deps, look } = setUp(() => PAGE.slice(0, 2))
  expect(await look('m1', { kind: 'web' })).toMatchObject({ found: { rank: 2, depth: 2 } })
  expect(await look('m2', { kind: 'web' })).toMatchObject({ found: { rank: null, depth: 2 } })
  expect(deps.ranks.of({ video: 'm1', kind: 'site' })).toEqual([])
})
