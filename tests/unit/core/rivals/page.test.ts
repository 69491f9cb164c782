import fc from 'fast-check'
import { clusterPhrases } from '../../../../core/rivals/clusters'
import { background, pageWords } from '../../../../core/rivals/lift'
import { moves, pageAge, turnover } from '../../../../core/rivals/turnover'
import { fitViews, isUpset, timesExpected, upsetReason, type ObservedVideo } from '../../../../core/rivals/upsets'
import { normal, seeded } from '../../../../server/services/standin/chance'

const DAY = 86_400_000
const ids = (from: number, to: number) => Array.from({ length: to - from }, (_, i) => `v${from + i}`)

describe('turnover', () => {
  test('a quarter of the page in fifteen days is half of it in thirty', () => {
    expect(
      turnover([
        { at: 0, ids: ids(0, 20) },
        { at: 15 * DAY, ids: ids(5, 25) },
      ]),
    ).toBeCloseTo(0.5)
  })
  test('swapped places are none, one page tells nothing, the order given does not matter', () => {
    const pages = [
      { at: 30 * DAY, ids: ids(0, 20).reverse() },
      { at: 0, ids: ids(0, 20) },
    ]
    expect(turnover(pages)).toBe(0)
    expect(turnover(pages.slice(1))).toBeNull()
    expect(
      turnover([
        { at: 0, ids: ids(0, 20) },
        { at: DAY / 2, ids: ids(20, 40) },
      ]),
    ).toBeNull()
  })
  test('the age of a page', () => {
    expect(pageAge([0, 90 * DAY, 95 * DAY], 100 * DAY)).toEqual({ young: 2 / 3, median: 10 })
    expect(pageAge([], 0)).toBeNull()
  })
  test('who rose, fell, came and left', () => {
    expect(moves(['b', 'a', 'n'], ['a', 'b', 'o'])).toEqual([
      { id: 'b', rank: 1, before: 2 },
      { id: 'a', rank: 2, before: 1 },
      { id: 'n', rank: 3, before: null },
      { id: 'o', rank: null, before: 3 },
    ])
  })
})

describe('clusters', () => {
  test('pages that share videos are one, headed by the most searched', () => {
    const found = clusterPhrases([
      { phrase: 'a', volume: 10, ids: ids(0, 20) },
      { phrase: 'b', volume: 50, ids: ids(6, 26) },
      { phrase: 'c', volume: 99, ids: ids(100, 120) },
    ])
    expect(found).toEqual([{ head: 'b', phrases: ['b', 'a'], volume: 60 }])
  })
  test('no chain of likenesses joins what has nothing in common', () => {
    const chain = [0, 10, 20, 30].map((from, i) => ({ phrase: String(i), volume: 100 - i, ids: ids(from, from + 20) }))
    for (const { head, phrases } of clusterPhrases(chain))
      for (const phrase of phrases) expect(Math.abs(Number(phrase) - Number(head))).toBeLessThanOrEqual(1)
  })
  test('only the first twenty count, and nobody stands in two groups', () => {
    expect(
      clusterPhrases([
        { phrase: 'a', volume: 1, ids: [...ids(0, 20), ...ids(50, 60)] },
        { phrase: 'b', volume: 1, ids: ids(50, 70) },
      ]),
    ).toEqual([])
    fc.assert(
      fc.property(
        fc.array(fc.uniqueArray(fc.integer({ min: 0, max: 30 }), { maxLength: 20 }), { maxLength: 25 }),
        pages => {
          const found = clusterPhrases(pages.map((list, i) => ({ phrase: `p${i}`, volume: i, ids: list })))
          const all = found.flatMap(each => each.phrases)
          expect(new Set(all).size).toBe(all.length)
        },
      ),
    )
  })
})

describe('upsets', () => {
  const random = seeded(3)
  const crowd: ObservedVideo[] = Array.from({ length: 2000 }, () => {
    const [subscribers, ageDays] = [Math.exp(6 + 2 * normal(random)), 1 + 700 * random()]
    return {
      subscribers,
      ageDays,
      viewsPerDay:
        Math.pow(10, 0.2 + 0.6 * Math.log10(1 + subscribers) - 0.3 * Math.log10(1 + ageDays) + 0.2 * normal(random)) -
        1,
    }
  })
  const model = fitViews(crowd)!
  test('finds the rule the crowd was made by', () => {
    expect(model.bySubscribers).toBeCloseTo(0.6, 1)
    expect(model.byAge).toBeCloseTo(-0.3, 1)
    const above = crowd.filter(video => isUpset(model, video, 1e6)).length
    expect(above / crowd.length).toBeGreaterThan(0.04)
    expect(above / crowd.length).toBeLessThanOrEqual(0.051)
  })
  test('a tiny channel with many views won on something else; without a thousand views it did not', () => {
    const tiny = { subscribers: 80, ageDays: 60, viewsPerDay: 900 }
    expect(isUpset(model, tiny, 54_000)).toBe(true)
    expect(isUpset(model, tiny, 900)).toBe(false)
    expect(timesExpected(model, tiny)).toBeGreaterThan(20)
  })
  test('too few observations, or all alike, tell no rule', () => {
    expect(fitViews(crowd.slice(0, 10))).toBeNull()
    expect(fitViews(new Array<ObservedVideo>(100).fill({ subscribers: 5, ageDays: 5, viewsPerDay: 5 }))).toBeNull()
  })
  test('the likely reason', () => {
    const usual = { targeting: 0.5, ageDays: 400, seconds: 600 }
    expect(upsetReason({ ...usual, targeting: 0.9 }, usual)).toBe('wording')
    expect(upsetReason({ ...usual, ageDays: 5 }, usual)).toBe('freshness')
    expect(upsetReason({ ...usual, seconds: 90 }, usual)).toBe('length')
    expect(upsetReason(usual, usual)).toBeNull()
  })
})

describe('words of the page', () => {
  const result = (n: number, title: string, tags: string[]) => ({
    id: `v${n}`,
    rank: n,
    title,
    tags,
    description: `${title}.\nMore.`,
  })
  const page = [
    result(1, 'Index a derailleur with one tool', ['bike', 'indexing']),
    result(2, 'Index gears', ['bike', 'indexing']),
    result(3, 'Gears on a bike', ['bike']),
  ]
  const neighbours = Array.from({ length: 30 }, (_, i) => result(100 + i, 'Clean a bike', ['bike']))
  test('what this page uses more than its neighbours comes first', () => {
    const tags = pageWords(page, 'tags', background(neighbours, 'tags', 'en'), 'en')
    expect(tags.map(each => each.term)).toEqual(['indexing', 'bike'])
    expect(tags[0]).toMatchObject({ users: 2, ranks: [1, 2] })
    expect(tags[0]!.lift).toBeGreaterThan(10)
    expect(tags[1]!.lift).toBeLessThan(1.1)
    expect(pageWords(page, 'title', background(neighbours, 'title', 'en'), 'en').map(each => each.term)).toEqual([
      'gears',
      'index',
    ])
    expect(pageWords(page, 'firstLine', background(neighbours, 'firstLine', 'en'), 'en')[0]!.term).toBe('gears')
  })
  test('a video on several neighbouring pages counts once; without neighbours nothing is lifted', () => {
    expect(background([neighbours[0]!, neighbours[0]!], 'tags', 'en').results).toBe(1)
    expect(pageWords(page, 'tags', background([], 'tags', 'en'), 'en').every(each => each.lift === 1)).toBe(true)
  })
})
