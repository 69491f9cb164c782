import fc from 'fast-check'
import { cutAtRanges, match, readPhrase, readText, runs, span } from '../../../../core/text/match'
import { normaliseWord } from '../../../../core/text/words'

const grade = (phrase: string, text: string, language = 'en') =>
  match(readPhrase(phrase, language), readText(text, language)).grade
const find = (phrase: string, text: string) => match(readPhrase(phrase, 'en'), readText(text, 'en'))

describe('match', () => {
  test.each([
    ['rear derailleur', 'How to index a Rear Derailleur', 'exact'],
    ['index gears', 'indexed gear', 'inflected'],
    ['index derailleur', 'index your rear derailleur', 'ordered'],
    ['derailleur index', 'index your rear derailleur', 'scattered'],
    ['index rear derailleur hanger', 'a rear derailleur', 'fragment'],
    ['index rear derailleur hanger', 'a derailleur', 'none'],
    ['clean chain', 'wheel truing', 'none'],
  ])('%s in “%s” is %s', (phrase, text, expected) => expect(grade(phrase, text)).toBe(expected))

  test('stop words are left out below inflected, but a phrase of them alone needs them exactly', () => {
    expect(grade('how to index a rear derailleur', 'index the rear derailleur')).toBe('ordered')
    expect(grade('how to', 'how to do it')).toBe('exact')
    expect(grade('how to', 'to know how')).toBe('none')
  })

  test('at most three other words between, in all', () => {
    expect(grade('clean chain', 'clean one two three chain')).toBe('ordered')
    expect(grade('clean chain', 'clean one two three four chain')).toBe('scattered')
  })

  test('the tightest ordered place is taken, not the first', () => {
    const text = 'clean the old and dirty and rusty frame, then clean your chain'
    expect(find('clean chain', text).ranges.map(range => text.slice(range.start, range.end))).toEqual([
      'clean',
      'chain',
    ])
    expect(find('clean chain', text).ranges[0]!.start).toBe(text.lastIndexOf('clean'))
  })

  test('diacritics, apostrophes and hyphens do not part what belongs together', () => {
    // With other accents it is close, not the same.
    expect(grade('derailleur', 'le dérailleur', 'fr')).toBe('inflected')
    expect(grade('dérailleur', 'le DÉRAILLEUR', 'fr')).toBe('exact')
    expect(grade('don’t', "don't")).toBe('exact')
    expect(grade('tune up', 'a tune-up')).toBe('exact')
  })

  test('offsets are UTF-16 of the raw text, even after signs outside the first plane', () => {
    const text = '🚲🚲 Ｃｈａｉｎ chain'
    const found = runs(readPhrase('chain', 'en'), readText(text, 'en'), 'exact')
    expect(found.map(range => text.slice(range.start, range.end))).toEqual(['Ｃｈａｉｎ', 'chain'])
  })

  test('a fragment carries its share: two of three content words', () => {
    expect(find('clean rear derailleur', 'rear derailleur').share).toBeCloseTo(2 / 3)
  })

  test('a word the phrase holds twice must be there twice', () => {
    expect(grade('bike to bike', 'one bike')).toBe('fragment')
    expect(grade('bike to bike', 'a bike beside a bike')).toBe('ordered')
  })

  test('scripts without spaces are cut into words', () => {
    expect(grade('自転車', '自転車の修理', 'ja')).toBe('exact')
  })

  test('empty phrases and texts match nothing, and a match of nothing has no span', () => {
    expect(grade('', 'text')).toBe('none')
    expect(grade('chain', '')).toBe('none')
    expect(grade('!!!', 'a ! b')).toBe('none')
    expect(span(find('chain', 'x'))).toBeNull()
  })
})

test('a text read line by line is the text read whole, whatever was read before', () => {
  const words = fc
    .array(fc.constantFrom('Wax', 'a', 'bike', 'chains', 'é', '自行车', '\n', '\r\n', '\n\n', ' ', '-', "'s", '🚲'), {
      maxLength: 30,
    })
    .map(parts => parts.join(' '))
  fc.assert(
    fc.property(words, raw => {
      const read = readText(raw, 'en')
      // By hand: every word with its offsets in the raw text, and the index of its stem.
      expect(read.starts.map((start, i) => normaliseWord(raw.slice(start, read.ends[i])))).toEqual(read.norms)
      for (const [stem, places] of read.byStem) for (const at of places) expect(read.stems[at]).toBe(stem)
      expect(readText(`new\n${raw}`, 'en').starts.slice(1)).toEqual(read.starts.map(start => start + 4))
    }),
  )
})

test('a text is cut at stretches of it, whatever their order, and loses nothing', () => {
  expect(
    cutAtRanges('wax a chain', [
      { start: 6, end: 11 },
      { start: 0, end: 3 },
      { start: 1, end: 5 },
    ]),
  ).toEqual([
    { text: 'wax', marked: true },
    { text: ' a ', marked: false },
    { text: 'chain', marked: true },
  ])
  expect(cutAtRanges('', [])).toEqual([])
})
