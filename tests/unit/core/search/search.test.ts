import fc from 'fast-check'
import { Bits } from '../../../../core/search/bits'
import { Postings } from '../../../../core/search/postings'
import { sortByKeys } from '../../../../core/search/order'
import { atLeast, between, notAbove, stepOf, withBit } from '../../../../core/search/scan'
import { floatKey, selectRange } from '../../../../core/search/selectRange'
import { words } from '../../../../core/text/words'
import { runs } from '../../../setup/runs'

const WORDS = ['bike', 'chain', 'how', 'to', 'clean', 'fix', 'Kette', 'éclair']
const phrase = fc.array(fc.constantFrom(...WORDS), { minLength: 1, maxLength: 5 }).map(list => list.join(' '))

describe('postings', () => {
  test('find what a scan finds, whenever the phrases came and however often they are built in', () => {
    fc.assert(
      fc.property(
        fc.array(phrase, { maxLength: 60 }),
        fc.integer({ min: 0, max: 40 }),
        fc.constantFrom(...WORDS),
        (all, loose, word) => {
          const postings = new Postings(loose)
          const { norm } = words(word)[0]!
          const scan = (texts: string[]) =>
            texts.flatMap((text, n) => (words(text).some(each => each.norm === norm) ? [n] : []))
          all.forEach((text, n) => {
            expect(postings.add(text)).toBe(n)
            if (n % 7 === 0) expect([...postings.of(norm)]).toEqual(scan(all.slice(0, n + 1)))
          })
          expect([...postings.of(norm)]).toEqual(scan(all))
        },
      ),
    )
  })
  test('a word that no phrase holds finds nothing', () => {
    const postings = new Postings()
    postings.add('bike chain')
    expect([...postings.of('anvil')]).toEqual([])
    postings.add('bike anvil')
    expect([...postings.of('anvil')]).toEqual([1])
  })
})

describe('sets of numbers', () => {
  const SIZE = 3000
  const set = fc.uniqueArray(fc.integer({ min: 0, max: SIZE - 1 }), { maxLength: 400 })
  const bits = (list: readonly number[]) => new Bits(SIZE).add(Uint32Array.from(list))
  const all = (of: Bits) => [...of.list(SIZE)]
  test('do what sets do', () => {
    fc.assert(
      fc.property(set, set, (a, b) => {
        const ascending = (list: number[]) => list.sort((x, y) => x - y)
        expect(all(bits(a))).toEqual(ascending([...a]))
        expect(bits(a).count()).toBe(a.length)
        expect(all(bits(a).and(bits(b)))).toEqual(ascending(a.filter(n => b.includes(n))))
        expect(all(bits(a).without(bits(b)))).toEqual(ascending(a.filter(n => !b.includes(n))))
        expect(all(bits(a).or(bits(b)))).toEqual(ascending([...new Set([...a, ...b])]))
      }),
    )
  })
  test('give their first and last ones, and the first of an order', () => {
    fc.assert(
      fc.property(set, fc.nat(20), fc.shuffledSubarray(Array.from({ length: SIZE }, (_, n) => n)), (a, most, order) => {
        const ascending = [...a].sort((x, y) => x - y)
        expect([...bits(a).list(most)]).toEqual(ascending.slice(0, most))
        expect([...bits(a).list(most, true)]).toEqual(ascending.reverse().slice(0, most))
        expect([...bits(a).firstOf(Uint32Array.from(order), most)]).toEqual(
          order.filter(n => a.includes(n)).slice(0, most),
        )
      }),
      { numRuns: runs(40) },
    )
  })
  test('a column is scanned as its definition says, unknown values and sizes beside whole words included', () => {
    const value = fc.oneof(
      fc.integer({ min: 0, max: 40 }),
      fc.integer({ min: 0, max: 40 }).map(each => each + 1e-9),
      fc.constantFrom(Number.NaN, Number.POSITIVE_INFINITY, 0.5, 1e300),
    )
    fc.assert(
      fc.property(
        fc.array(value, { maxLength: 140 }),
        fc.oneof(fc.integer({ min: 0, max: 40 }), fc.constantFrom(0.1, 30 + 1e-9, 1e300)),
        fc.nat(2),
        (list, bound, spare) => {
          const size = list.length
          // A column has room for more than is in it, by thirty-two.
          const padded = [...list, ...Array<number>(((32 - (size % 32)) % 32) + 32 * spare).fill(bound)]
          const whole = padded.map(each => (Number.isFinite(each) ? Math.min(255, Math.floor(each)) : 0))
          const numbers = (passes: (value: number) => boolean, of = list) =>
            of.flatMap((each, n) => (passes(each) ? [n] : []))
          const known = whole.slice(0, size)
          expect(all(atLeast(Float64Array.from(padded), Uint8Array.from(padded, stepOf), bound, size))).toEqual(
            numbers(each => each >= bound),
          )
          expect(all(notAbove(Float32Array.from(padded), Math.fround(bound), size))).toEqual(
            numbers(each => !(Math.fround(each) > Math.fround(bound))),
          )
          expect(notAbove(Float32Array.from(padded), -1, size).count()).toBe(0)
          const least = Math.floor(Math.min(bound, 200))
          expect(all(between(Uint8Array.from(whole), least, least + 9, size))).toEqual(
            numbers(each => each >= least && each <= least + 9, known),
          )
          expect(all(withBit(Uint16Array.from(whole), 5, size))).toEqual(numbers(each => (each & 5) !== 0, known))
        },
      ),
    )
  })
  test('a larger value never stands on a lower step, whatever a logarithm rounds to', () => {
    expect([Number.NaN, 0, 1, 1e12].map(stepOf)).toEqual([0, 1, 6, 127])
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1e8, noNaN: true }), fc.integer({ min: 1, max: 127 }), (value, step) => {
        const begin = Math.pow(2, (step - 1) / 5) - 1
        expect(stepOf(value)).toBeGreaterThanOrEqual(value >= begin ? step : 1)
        expect(stepOf(begin)).toBe(step)
        expect(stepOf(begin * (1 - 1e-15) - 1e-15)).toBe(step - 1)
      }),
    )
  })
  test('a copy stands for itself, and single ones come and go', () => {
    const first = bits([1, 31, 32, 2999])
    const copy = first.copy()
    copy.clear(31)
    copy.set(33)
    expect(all(first)).toEqual([1, 31, 32, 2999])
    expect(all(copy)).toEqual([1, 32, 33, 2999])
    expect([copy.has(33), copy.has(31)]).toEqual([true, false])
  })
})

describe('a range of a sort', () => {
  const figure = fc.oneof(
    fc.constant(Number.NaN),
    fc.double({ min: -1000, max: 1_000_000, noNaN: true }).map(Math.fround),
    fc.integer({ min: 0, max: 5 }),
  )
  test('is what sorting everything and cutting gives, ties by the next key, unknown last', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(figure, fc.integer({ min: 0, max: 9 })), { maxLength: 3000, minLength: 1 }),
        fc.boolean(),
        fc.nat(3000),
        fc.nat(60),
        (rows, falling, from, length) => {
          const items = Uint32Array.from(rows, (_, i) => i)
          const main = (i: number) => floatKey(rows[i]![0], falling)
          const found = selectRange(items, [main, i => rows[i]![1]], from, from + length)
          const sorted = [...items].sort((a, b) => {
            const [x, y] = [rows[a]![0], rows[b]![0]]
            if (Number.isNaN(x) || Number.isNaN(y))
              return Number(Number.isNaN(x)) - Number(Number.isNaN(y)) || rows[a]![1] - rows[b]![1] || a - b
            return (falling ? y - x : x - y) || rows[a]![1] - rows[b]![1] || a - b
          })
          expect([...found]).toEqual(sorted.slice(from, from + length))
        },
      ),
      { numRuns: runs(200) },
    )
  })
  test('among many equals the next key decides', () => {
    const items = Uint32Array.from({ length: 50_000 }, (_, i) => i)
    expect([...selectRange(items, [() => 7, i => 50_000 - i], 100, 103)]).toEqual([49_899, 49_898, 49_897])
    expect(selectRange(items, [i => i], 60_000, 60_010)).toHaveLength(0)
  })
})

describe('orders', () => {
  test('sorting by several keys is a stable sort by them', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(70_000), fc.nat(3)), { maxLength: 300 }), rows => {
        const items = Uint32Array.from(rows, (_, i) => i)
        expect([...sortByKeys(items, [i => rows[i]![0], i => rows[i]![1]])]).toEqual(
          [...items].sort((a, b) => rows[a]![0] - rows[b]![0] || rows[a]![1] - rows[b]![1] || a - b),
        )
      }),
    )
  })
})
