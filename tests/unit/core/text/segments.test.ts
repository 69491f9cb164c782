import fc from 'fast-check'
import { spread } from '../../../../core/captions/spread'
import { segments, signStart } from '../../../../core/text/segments'
import { words } from '../../../../core/text/words'

const parts = (text: string, granularity: 'word' | 'grapheme') =>
  [...segments(text, granularity)].map(each => each.text)

test('the parts of any text make up the text, each where it says it starts', () => {
  fc.assert(
    fc.property(
      fc.string({ unit: 'binary', maxLength: 2000 }),
      fc.constantFrom('word' as const, 'grapheme' as const),
      (text, granularity) => {
        let at = 0
        for (const part of segments(text, granularity)) {
          expect(part.start).toBe(at)
          expect(part.text).not.toBe('')
          at += part.text.length
        }
        expect(at).toBe(text.length)
      },
    ),
  )
})

test('signs at the edge of a window stay whole, however long the text', () => {
  const family = '👨‍👩‍👧'
  for (const before of [250, 253, 254, 255, 256, 510])
    expect(parts('x'.repeat(before) + family.repeat(3), 'grapheme').slice(before)).toEqual([family, family, family])
})

test('words of a script without spaces are found beyond the first window as within it', () => {
  const sentence = '自転車のチェーンを外す方法。'
  const once = parts(sentence, 'word')
  expect(parts(sentence.repeat(200), 'word')).toEqual(Array.from({ length: 200 }, () => once).flat())
  expect(words(sentence.repeat(200))).toHaveLength(200 * words(sentence).length)
})

test('a row of signs without end is cut all the same: one word, or cues that can be read', () => {
  expect(parts('a'.repeat(1300), 'word').join('')).toBe('a'.repeat(1300))
  const cues = spread('チ'.repeat(60_000), 600)
  expect(cues.length).toBeGreaterThan(1500)
  expect(Math.max(...cues.map(cue => cue.text.length))).toBeLessThanOrEqual(84)
  expect(cues.map(cue => cue.text).join('')).toBe('チ'.repeat(60_000))
})

test('an offset within a sign leads to its beginning', () => {
  expect(signStart('ab👨‍👩‍👧c', 4)).toBe(2)
})
