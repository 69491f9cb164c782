import fc from 'fast-check'
import { difficulty } from '../../../../core/rivals/difficulty'
import { RivalReader, firstLine, pull, reach, strength, targeting, viewsPerDay } from '../../../../core/rivals/strength'
import { readPhrase } from '../../../../core/text/match'

const reader = new RivalReader('en')
const phrase = readPhrase('index rear derailleur', 'en')
const rival = {
  title: 'Index rear derailleur',
  description: 'Index rear derailleur\nmore',
  tags: ['index rear derailleur'],
  subscribers: 9999,
  viewsPerDay: 99,
}

describe('strength', () => {
  test('all parts exact is targeting 1', () => expect(targeting(phrase, rival, reader)).toBe(1))

  test('title ordered, first line missing the phrase, best tag inflected: .7 × .75 + .1 × .95', () => {
    const other = {
      ...rival,
      title: 'Index your rear derailleur',
      description: 'Hello\nindex rear derailleur',
      tags: ['x', 'indexing rear derailleurs'],
    }
    expect(targeting(phrase, other, reader)).toBeCloseTo(0.7 * 0.75 + 0.1 * 0.95)
  })

  test('the weight of a part the page did not tell goes to the others', () => {
    // Title exact .7 and first line none .2: .7 / .9.
    expect(targeting(phrase, { ...rival, description: 'nothing', tags: null }, reader)).toBeCloseTo(0.7 / 0.9)
    expect(targeting(phrase, { ...rival, description: null, tags: null }, reader)).toBe(1)
  })

  test('reach and pull by decades: 9,999 subscribers 4/7, 99 views a day 2/5', () => {
    expect(reach(9999)).toBeCloseTo(4 / 7)
    expect(pull(99)).toBeCloseTo(2 / 5)
    expect([reach(1e9), pull(1e9)]).toEqual([1, 1])
    // .45 × 1 + .25 × 4/7 + .30 × 2/5 = .45 + .142857 + .12
    expect(strength(phrase, rival, reader).strength).toBeCloseTo(0.712857, 5)
  })

  test('hidden subscribers leave reach out: (.45 + .12) / .75', () => {
    const found = strength(phrase, { ...rival, subscribers: null }, reader)
    expect(found.reach).toBeNull()
    expect(found.strength).toBeCloseTo(0.57 / 0.75)
  })

  test('views a day count at least one day, at the time of the observation', () => {
    expect(viewsPerDay(500, 1_000_000, 1_000_000 + 3_600_000)).toBe(500)
    expect(viewsPerDay(500, 0, 10 * 86_400_000)).toBe(50)
  })

  test('the first line is the first with anything on it', () => {
    expect(firstLine('\n  \n  Hello there  \nmore')).toBe('Hello there')
    expect(firstLine('  ')).toBe('')
  })
})

describe('difficulty', () => {
  test('twenty seats of one strength are that strength everywhere', () => {
    expect(difficulty(Array<number>(20).fill(0.5), true)).toEqual({
      page: expect.closeTo(50),
      front: expect.closeTo(50),
      middle: expect.closeTo(50),
      rest: expect.closeTo(50),
    })
  })

  test('the front weighs 1, .6309, .5: only the first seat at 1 gives 1 / 2.1309', () => {
    expect(difficulty([1], true)!.front).toBeCloseTo(100 / 2.1309, 1)
  })

  test('empty seats count nothing, further pages do not count, half a page has none', () => {
    expect(difficulty([], true)).toBeNull()
    expect(difficulty([0.5], true)!.page).toBeLessThan(10)
    expect(difficulty([...Array<number>(20).fill(0.4), ...Array<number>(40).fill(1)], true)!.page).toBeCloseTo(40)
    expect(difficulty([1, 1], false)).toBeNull()
  })

  test('raising any seat never lowers it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.float({ min: 0, max: 1, noNaN: true }), { minLength: 20, maxLength: 20 }),
        fc.nat(19),
        (seats, at) => {
          const raised = seats.map((seat, i) => (i === at ? 1 : seat))
          expect(difficulty(raised, true)!.page).toBeGreaterThanOrEqual(difficulty(seats, true)!.page - 1e-9)
        },
      ),
    )
  })
})
