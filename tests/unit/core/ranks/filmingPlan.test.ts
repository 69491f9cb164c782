import { filmingPlan, searchedDays, type FilmIdea } from '../../../../core/ranks/filmingPlan'
import { seeded } from '../../../../core/random'
import { DAY } from '../../../../core/time'

const START = Date.UTC(2026, 2, 1)
const weekly = (n: number, every = 7) => Array.from({ length: n }, (_, i) => START + i * every * DAY)
const even = (views: number, chance = 0.5): FilmIdea => ({ views: [views], chance: [chance], shape: null })
/** A year in which one month has so many times the searches of the others. */
const peak = (month: number, times: number) => Array.from({ length: 12 }, (_, i) => (i === month ? times : 1))

test('under a budget of three releases the three worth most are made', () => {
  const plan = filmingPlan([even(5), even(50), even(20), even(1), even(30)], {
    releases: weekly(3),
    sizes: [1],
    growth: null,
  })
  // What waiting costs most is out first: 104, 97 and 90 days at 50, 30 and 20 views a month.
  expect(plan.map(({ idea }) => idea)).toEqual([1, 4, 2])
  expect(plan.map(({ views }) => Math.round(views))).toEqual([173, 97, 60])
  expect(plan.map(({ later }) => Math.round(later * 10) / 10)).toEqual([11.7, 7, 4.7])
  expect(plan.every(({ subscribers }) => subscribers === null)).toBe(true)
})

test('days are counted by the searches of their months, beside the year’s', () => {
  expect(searchedDays(null, START, START + 50 * DAY)).toBe(50)
  // June has 30 of the 90 days from the first of June on, and the year 17 parts of which it has 6.
  expect(searchedDays(peak(5, 6), Date.UTC(2026, 5, 1), Date.UTC(2026, 5, 91))).toBeCloseTo((30 * 6 + 60) / (17 / 12))
})

test('what has its season comes out before it, and what is even waits', () => {
  const plan = filmingPlan([even(20), { ...even(20), shape: peak(2, 8) }, { ...even(20), shape: peak(8, 8) }], {
    // A release every two months.
    releases: weekly(3, 60),
    sizes: [1],
    growth: null,
  })
  // March first; September comes with the last release, at the end of June.
  expect(plan.map(({ idea }) => idea)).toEqual([1, 0, 2])
})

test('with reach that grows, the easy one that opens the hard one up comes first', () => {
  const easy: FilmIdea = { views: [60, 62], chance: [0.9, 0.92], shape: null }
  const hard: FilmIdea = { views: [10, 400], chance: [0.05, 0.6], shape: null }
  const growth = { subscribers: 100, perView: 0.5 }
  const terms = { releases: weekly(2, 90), sizes: [1, 2] }
  const plan = filmingPlan([hard, easy], { ...terms, growth })
  expect(plan.map(({ idea }) => idea)).toEqual([1, 0])
  // 360 views in half a year bring 90 subscribers in its first half: log 1.9 ÷ log 2 of the way to 400 a month.
  expect(plan[1]).toMatchObject({ chanceToday: 0.05 })
  expect(plan[1]!.subscribers).toBeCloseTo(190)
  expect(plan[1]!.views).toBeCloseTo(3 * (10 + (Math.log(1.9) / Math.log(2)) * 390))
  expect(plan[1]!.chance).toBeGreaterThan(0.5)
  // Without growth it stays as hard as it is.
  expect(filmingPlan([hard, easy], { ...terms, growth: null }).map(({ views }) => views)).toEqual([360, 30])
})

test('no order of a few videos wins more: all of them are tried', () => {
  const chance = seeded(11)
  const orders = (list: number[]): number[][] =>
    list.length ? list.flatMap((each, i) => orders(list.toSpliced(i, 1)).map(rest => [each, ...rest])) : [[]]
  for (let round = 0; round < 30; round++) {
    const ideas = Array.from({ length: 5 }, (): FilmIdea => {
      const views = 5 + 60 * chance()
      return {
        views: [views, views * (1 + chance()), views * (2 + 3 * chance())],
        chance: [0.3, 0.4, 0.6],
        shape: chance() < 0.5 ? peak(Math.floor(12 * chance()), 1 + 5 * chance()) : null,
      }
    })
    const terms = { releases: weekly(4, 21), sizes: [1, 1.5, 3], growth: { subscribers: 200, perView: 0.3 } }
    const sum = (plan: { views: number }[]) => plan.reduce((all, { views }) => all + views, 0)
    const found = sum(filmingPlan(ideas, terms))
    let best = 0
    for (const order of orders([0, 1, 2, 3, 4])) {
      // One idea a release: what a fixed order wins.
      const won = filmingPlanInOrder(order.slice(0, 4).map(i => ideas[i]!))
      best = Math.max(best, won)
    }
    expect(found).toBeGreaterThanOrEqual(best * 0.99)
    expect(found).toBeLessThanOrEqual(best + 1e-6)

    function filmingPlanInOrder(inOrder: FilmIdea[]): number {
      const won: number[] = []
      const end = terms.releases[3]! + 90 * DAY
      for (const [k, idea] of inOrder.entries()) {
        const at = terms.releases[k]!
        const gained = won.reduce((all, views, j) => {
          const part = (at - terms.releases[j]!) / (end - terms.releases[j]!)
          return all + views * terms.growth.perView * part
        }, 0)
        const size = 1 + gained / terms.growth.subscribers
        const [a, b, c] = idea.views as [number, number, number]
        const between = (from: number, to: number, x: number, y: number) =>
          x + ((Math.log(size) - Math.log(from)) / (Math.log(to) - Math.log(from))) * (y - x)
        const monthly = size >= 3 ? c : size > 1.5 ? between(1.5, 3, b, c) : size > 1 ? between(1, 1.5, a, b) : a
        won.push((monthly / 30) * searchedDays(idea.shape, at, end))
      }
      return won.reduce((all, views) => all + views, 0)
    }
  }
})

test('nothing to make, no release or one idea are no trouble; sixty ideas are planned at once', () => {
  const terms = { releases: weekly(3), sizes: [1], growth: null }
  expect(filmingPlan([], terms)).toEqual([])
  expect(filmingPlan([even(3)], { ...terms, releases: [] })).toEqual([])
  expect(filmingPlan([even(3)], terms)).toHaveLength(1)
  const many = Array.from({ length: 60 }, (_, i) => ({ ...even((i * 37) % 61), shape: peak(i % 12, 4) }))
  expect(filmingPlan(many, { ...terms, releases: weekly(26) })).toHaveLength(26)
})
