import { gapsOf } from '../../../../core/descriptions/gaps'
import { withGaps } from '../../../../core/translation/marked'

test('what nobody translated is a gap that names it', () => {
  const text = withGaps({
    text: 'Kette with sprocket',
    unknown: [
      { start: 6, end: 10 },
      { start: 11, end: 19 },
    ],
  })
  expect(text).toBe('Kette [… with] [… sprocket]')
  expect(gapsOf(text)).toEqual([
    { start: 6, end: 14 },
    { start: 15, end: 27 },
  ])
})
test('stretches that cannot be are passed over', () => {
  expect(
    withGaps({
      text: 'abc',
      unknown: [
        { start: 2, end: 9 },
        { start: 1, end: 1 },
      ],
    }),
  ).toBe('abc')
  expect(
    withGaps({
      text: 'abc',
      unknown: [
        { start: 0, end: 2 },
        { start: 1, end: 3 },
      ],
    }),
  ).toBe('[… ab]c')
  expect(withGaps({ text: '', unknown: [] })).toBe('')
})
test('brackets that say something else are no gap', () => {
  expect(gapsOf('[Official] [...] [… ] […] [...and more]').map(({ start }) => start)).toEqual([11, 22])
})
