import { LEAST_MONEY, money, rangeText, rounded } from '../../../app/composables/figures'

describe('a range of estimates', () => {
  const views = (low: number, high: number) => rangeText({ low, high }, value => rounded(Math.round(value)))
  const pounds = (low: number, high: number) => rangeText({ low, high }, micros => money(micros, 'GBP'), LEAST_MONEY)

  test('both ends, one figure where they show the same', () => {
    expect(views(12, 3400)).toBe('12 to 3,400')
    expect(views(19.8, 20.2)).toBe('20')
    expect(pounds(1_234_000, 56_000_000)).toBe('£1.23 to £56.00')
  })
  test('hardly anything is not nothing', () => {
    expect(views(0, 0)).toBe('< 1')
    expect(views(0.2, 0.9)).toBe('< 1')
    expect(pounds(0, 9_000)).toBe('< £0.01')
  })
  test('a low end that is unknown, or hardly anything, is left out', () => {
    expect(views(0, 1)).toBe('up to 1')
    expect(views(0.9, 12_345)).toBe('up to 12.3K')
    expect(pounds(0, 20_000)).toBe('up to £0.02')
  })
})
