import fc from 'fast-check'
import { codePointOffset, count, head } from '../../../../core/text/count'
import { cutAt, fitsEms, widthInEms } from '../../../../core/text/width'
import { phraseKey, wordCount, words } from '../../../../core/text/words'

describe('counting', () => {
  // A family of three with joiners: 3 faces of 2 units and 2 joiners = 8 units, 5 code points, 1 grapheme, 3×4 + 2×3 =
  // 18 bytes.
  test('the four counts of a family', () => {
    const family = '👨‍👩‍👧'
    expect([
      count(family, 'utf16'),
      count(family, 'codePoints'),
      count(family, 'graphemes'),
      count(family, 'bytes'),
    ]).toEqual([8, 5, 1, 18])
  })

  test('bytes agree with the encoder, code points with iteration, for any text', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), text => {
        expect(count(text, 'bytes')).toBe(new TextEncoder().encode(text).length)
        expect(count(text, 'codePoints')).toBe([...text].length)
        expect(count(text, 'graphemes')).toBe(
          [...new Intl.Segmenter(undefined, { granularity: 'grapheme' }).segment(text)].length,
        )
      }),
    )
  })

  test('a lone surrogate counts as its replacement, three bytes', () => expect(count('a\ud800', 'bytes')).toBe(4))

  test('head never cuts inside a cluster and never exceeds', () => {
    expect(head('ab👨‍👩‍👧cd', 4, 'codePoints')).toBe('ab')
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), fc.nat(20), (text, limit) => {
        const cut = head(text, limit, 'bytes')
        expect(text.startsWith(cut)).toBe(true)
        expect(count(cut, 'bytes')).toBeLessThanOrEqual(limit)
      }),
    )
  })

  test('an opening of so many code points ends at a whole one', () => {
    expect(codePointOffset('🚲a🚲', 2)).toBe(3)
    expect(codePointOffset('ab', 9)).toBe(2)
  })
})

describe('width', () => {
  test('sixty characters of running English fit a phone, seventy do not', () => {
    const sixty = 'How to index a rear derailleur with one tool in ten minutes '
    expect(sixty).toHaveLength(60)
    expect(fitsEms(sixty, 30.6)).toBe(true)
    expect(fitsEms(`${sixty}and more word`, 30.6)).toBe(false)
  })

  test('an empty text has no width, a wide script takes a whole em a sign', () => {
    expect(widthInEms('')).toBe(0)
    expect(widthInEms('自転車')).toBe(3)
  })

  test('the cut stands before the first sign that does not fit', () => {
    expect(cutAt('自転車', 2)).toBe(2)
    expect(cutAt('abc', 99)).toBe(3)
  })
})

describe('words', () => {
  test('hyphens split, apostrophes do not, marks and digits belong', () => {
    expect(words('tune-up: rider’s 12-speed').map(word => word.norm)).toEqual(['tune', 'up', "rider's", '12', 'speed'])
  })

  test('offsets give back the words of any text', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), text => {
        let last = 0
        for (const { start, end } of words(text)) {
          expect(start).toBeGreaterThanOrEqual(last)
          expect(end).toBeGreaterThan(start)
          last = end
        }
        expect(last).toBeLessThanOrEqual(text.length)
      }),
    )
  })

  test('a phrase is counted by its white space and keyed by case and form', () => {
    expect(wordCount('  tune-up for  bikes ')).toBe(3)
    expect(wordCount(' ')).toBe(0)
    expect(phraseKey(' Bike\tCHAIN\u0000 ')).toBe('bike chain')
    expect(phraseKey('dérailleur')).not.toBe(phraseKey('derailleur'))
  })
})
