import fc from 'fast-check'
import { sameAsBefore } from '../../../app/composables/sameAsBefore'
import { runs } from '../../setup/runs'

test('what is the same stays the object it was, and what differs is new', () => {
  const before = {
    checks: [
      { id: 'a', ranges: [{ start: 1 }] },
      { id: 'b', ranges: [] },
    ],
    percent: null,
  }
  const next = {
    checks: [
      { id: 'a', ranges: [{ start: 1 }] },
      { id: 'b', ranges: [{ start: 2 }] },
    ],
    percent: null,
  }
  const shared = sameAsBefore(before, next)
  expect(shared).toEqual(next)
  expect(shared).not.toBe(before)
  expect(shared.checks[0]).toBe(before.checks[0])
  expect(shared.checks[1]).not.toBe(before.checks[1])
  expect(sameAsBefore(before, structuredClone(before))).toBe(before)
})

test('more or less than before is not the same', () => {
  expect(sameAsBefore([1, 2], [1])).toEqual([1])
  expect(sameAsBefore({ a: 1, b: 2 }, { a: 1 })).toEqual({ a: 1 })
  expect(sameAsBefore({ a: 1 }, { a: 1, b: undefined })).toEqual({ a: 1, b: undefined })
  expect(sameAsBefore([], {})).toEqual({})
  expect(sameAsBefore(null, { a: 1 })).toEqual({ a: 1 })
  expect(sameAsBefore({ a: Number.NaN }, { a: null })).toEqual({ a: null })
})

test('whatever came before, the answer is the new one', () => {
  const data = fc.jsonValue({ maxDepth: 4 })
  fc.assert(
    fc.property(data, data, (before, next) => {
      expect(sameAsBefore(before, next)).toEqual(next)
      expect(sameAsBefore(next, structuredClone(next))).toBe(next)
    }),
    { numRuns: runs(300), seed: 7 },
  )
})
