import { looseNumber } from '../../../../core/formats/number'
import { guessColumns, jsonRows, listIn, readListRow, recogniseColumns } from '../../../../core/formats/phraseList'

describe('numbers as lists hold them', () => {
  test.each([
    ['1200', 1200],
    ['1,200', 1200],
    ['1.200', 1200],
    ['1 200', 1200],
    ['1\u202f200', 1200],
    ["1'200", 1200],
    ['1,234,567', 1234567],
    ['1.234.567', 1234567],
    ['1.234,5', 1234.5],
    ['1,234.5', 1234.5],
    ['0,5', 0.5],
    ['0.123', 0.123],
    ['12,5', 12.5],
    ['1.2K', 1200],
    ['1,2k', 1200],
    ['3M', 3e6],
    ['1.500K', 1500],
    ['45 %', 0.45],
    ['-3', -3],
    ['1e3', 1000],
  ])('%s is %d', (text, value) => expect(looseNumber(text)).toBeCloseTo(value))
  test.each(['', ' ', '-', '–', 'n/a'])('“%s” is unknown', text => expect(looseNumber(text)).toBeNull())
  test.each(['abc', '1K-10K', '12 apples', '<10', '1..', '='])('“%s” is no number', text =>
    expect(looseNumber(text)).toBeNaN(),
  )
})

describe('headers', () => {
  test('common spellings, whatever case and marks', () => {
    expect(recogniseColumns(['Keyword', 'Avg. Monthly Searches', 'Competition'])).toEqual({
      phrase: 0,
      volume: 1,
      advertiser: 2,
    })
    expect(recogniseColumns(['Suchbegriff', 'Suchvolumen'])).toEqual({ phrase: 0, volume: 1 })
    expect(recogniseColumns(['Mot clé', 'Country'])).toEqual({ phrase: 0, region: 1 })
  })
  test('advertisers’ competition is never taken for competing videos', () =>
    expect(recogniseColumns(['phrase', 'Competition'])).not.toHaveProperty('competition'))
  test('unknown columns are guessed from their lines', () => {
    expect(
      guessColumns([
        ['1', 'bike chain', '1.200', 'x'],
        ['2', 'bike bell', '40', ''],
      ]),
    ).toEqual({ phrase: 1, volume: 0 })
    expect(
      guessColumns([
        ['bike chain', 'viele'],
        ['', '4'],
        ['bike bell', '5'],
      ]),
    ).toEqual({ phrase: 0, volume: 1 })
    expect(guessColumns([])).toEqual({})
  })
  test('without a phrase there is no map', () => expect(recogniseColumns(['foo', 'volume'])).toBeNull())
})

describe('rows', () => {
  const map = { phrase: 0, volume: 1, region: 2, months: 3 }
  test('a good row', () =>
    expect(readListRow([' Bike  Chain ', '1.2K', 'gb', '1 2 3'], map)).toMatchObject({
      phrase: 'bike chain',
      volume: 1200,
      region: 'GB',
      months: [1, 2, 3],
    }))
  test('everywhere and absent cells', () =>
    expect(readListRow(['a', '', 'global'], map)).toMatchObject({ volume: null, region: '', months: null }))
  test.each([
    [['', '5'], /no phrase/],
    [['---', '5'], /contains no word/],
    [['x'.repeat(201)], /201 characters/],
    [['chain', 'many'], /not a number for volume/],
    [['chain', '-4'], /cannot be -4/],
    [['chain', '1', 'GBR'], /not a (known )?region/],
    [['chain', '1', 'GB', '1 x'], /months/],
  ])('%j is refused with its reason', (cells, reason) =>
    expect(readListRow(cells, map)).toEqual({ reason: expect.stringMatching(reason) }),
  )
})

describe('JSON lists', () => {
  test('texts, objects, and a list inside an object', () => {
    expect(jsonRows(['a', 'b'])).toEqual({ headers: ['phrase'], rows: [['a'], ['b']] })
    expect(jsonRows([{ keyword: 'a', volume: 1 }, { keyword: 'b' }])).toEqual({
      headers: ['keyword', 'volume'],
      rows: [
        ['a', '1'],
        ['b', ''],
      ],
    })
    expect(jsonRows(listIn({ phrases: [{ phrase: 'a', tags: ['x', 'y'] }, 'b'] })!)).toEqual({
      headers: ['phrase', 'tags'],
      rows: [
        ['a', 'x y'],
        ['b', ''],
      ],
    })
    expect(listIn(5)).toBeNull()
  })
})
