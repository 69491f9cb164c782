import fc from 'fast-check'
import { applyList, applyText, textEdits, type ListEdit } from '../../../../core/draft/edits'

const text = fc.array(fc.string({ unit: 'grapheme', maxLength: 12 }), { maxLength: 5 }).map(lines => lines.join('\n'))

test('edits make one text of another, in order and apart', () => {
  fc.assert(
    fc.property(text, text, (before, after) => {
      const edits = textEdits(before, after)
      expect(applyText(before, edits)).toBe(after)
      for (const [i, { start, end }] of edits.entries()) {
        expect(start).toBeGreaterThanOrEqual(i ? edits[i - 1]!.end : 0)
        expect(end).toBeGreaterThanOrEqual(start)
      }
    }),
  )
})

test('of lines that stay nothing is touched, and no character is cut in half', () => {
  expect(textEdits('one\ntwo\nthree', 'One\ntwo\nthree!')).toEqual([
    { start: 0, end: 1, insert: 'O' },
    { start: 13, end: 13, insert: '!' },
  ])
  expect(textEdits('🚲 bike', '🚗 bike')).toEqual([{ start: 0, end: 2, insert: '🚗' }])
  expect(textEdits('a', 'a')).toEqual([])
})

test('edits of a list refer to the list before any of them', () => {
  const edits: ListEdit[] = [
    { item: 0, remove: 0, insert: ['lead'] },
    { item: 1, remove: 2, insert: [] },
    { item: 4, remove: 0, insert: ['end'] },
  ]
  const list = ['a', 'b', 'c', 'd']
  expect(applyList(list, edits)).toEqual(['lead', 'a', 'd', 'end'])
})
