import fc from 'fast-check'
import type { ListedPhrase } from '../../../../core/formats/phraseList'
import { handedOver, ListWindow, unpackBatch } from '../../../../server/imports/listBatch'

const figure = fc.option(fc.double({ min: -1, max: 1e9, noNaN: true }))
const row: fc.Arbitrary<ListedPhrase> = fc.record({
  phrase: fc.constantFrom('bike chain', 'чистка цепи', '自転車 修理', 'bike', 'bike chain clean'),
  volume: figure,
  change: figure,
  competition: figure,
  advertiser: figure,
  region: fc.option(fc.constantFrom('GB', '')),
  months: fc.option(fc.array(fc.option(fc.nat(900)), { maxLength: 36 })),
})

test('what is gathered comes out whole, more than a batch of it in the order of the phrases, also through a message and when it is used again', () => {
  const window = new ListWindow(30)
  fc.assert(
    fc.property(fc.array(row, { maxLength: 30 }), fc.integer({ min: 1, max: 12 }), (rows, most) => {
      for (const each of rows) window.add(each)
      expect(window.size).toBe(rows.length)
      const found = [...window.batches(most)].flatMap(packed => {
        const there = structuredClone(packed, { transfer: handedOver(packed) })
        // Handed over, not copied.
        expect(packed.volume).toHaveLength(0)
        const unpacked = unpackBatch(there)
        expect(unpacked.length).toBeLessThanOrEqual(most)
        return unpacked
      })
      // More than one batch is sorted, equal ones as they came.
      expect(found).toEqual(
        rows.length > most ? [...rows].sort((a, b) => (a.phrase < b.phrase ? -1 : a.phrase > b.phrase ? 1 : 0)) : rows,
      )
      expect(window.size).toBe(0)
    }),
  )
})

test('it is full with as many rows as it has room for', () => {
  const window = new ListWindow(2)
  const phrase = {
    phrase: 'a',
    volume: 1,
    change: null,
    competition: null,
    advertiser: null,
    region: null,
    months: null,
  }
  window.add(phrase)
  expect(window.full).toBe(false)
  window.add(phrase)
  expect(window.full).toBe(true)
})
