import { checkOf, pointedAt } from '../checkOf'

describe('tag-lead', () => {
  const lead = 'clean bike chain'
  test('first, later, absent', () => {
    expect(checkOf('tag-lead', { tags: ['Clean  bike chain', 'chain'] }, { lead }).state).toBe('met')
    const later = checkOf('tag-lead', { tags: ['chain', 'clean bike chain'] }, { lead })
    expect(later.points).toBeCloseTo(6)
    expect(later.fixes[0]!.value).toEqual(['clean bike chain', 'chain'])
    expect(checkOf('tag-lead', { tags: ['chain'] }, { lead })).toMatchObject({
      state: 'missing',
      fixes: [{ value: ['clean bike chain', 'chain'] }],
    })
    expect(
      checkOf('tag-lead', { tags: ['chain', 'clean bike chain'] }, { lead, settings: { position: 'any' } }).state,
    ).toBe('met')
  })
})

describe('tag-limit', () => {
  test('lengths, two for each with a space, a comma between', () => {
    // Ten tags of 47 with a space: 10 × 49 + 9 commas = 499; one letter more is the limit, two are one over.
    const tags = Array.from({ length: 10 }, (_, i) => `tag ${i}${'x'.repeat(42)}`)
    expect(checkOf('tag-limit', { tags }).message).toBe('499 of 500 characters.')
    const over = checkOf('tag-limit', { tags: [...tags, 'z'] })
    expect(over).toMatchObject({ state: 'missing', message: '1 character over the limit of 500. Remove some.' })
    expect(over.fixes[0]!.value).toEqual(tags)
    expect(checkOf('tag-limit', { tags: [] }).state).toBe('missing')
  })
})

describe('tag-repeats', () => {
  test('case and spaces make no difference', () => {
    const draft = { tags: ['Bike chain', 'bike  chain', 'wax', ''] }
    const check = checkOf('tag-repeats', draft)
    // Two of four are repeated or empty.
    expect(check.points).toBeCloseTo(5)
    expect(pointedAt(draft, check)).toEqual(['bike  chain', ''])
    expect(check.fixes[0]!.value).toEqual(['Bike chain', 'wax'])
    expect(checkOf('tag-repeats', { tags: ['one'] }).state).toBe('n/a')
  })
})

describe('tag-count', () => {
  test('repeats count once', () =>
    expect(checkOf('tag-count', { tags: ['a', 'A', 'b'] }, { settings: { least: 4, most: 9 } }).points).toBeCloseTo(5))
  test('more than wanted', () =>
    expect(
      checkOf('tag-count', { tags: ['a', 'b', 'c', 'd'] }, { settings: { least: 1, most: 2 } }).points,
    ).toBeCloseTo(5))
})

describe('tag-support', () => {
  const draft = {
    title: 'Index a rear derailleur',
    description: 'Gears that skip.',
    tags: ['rear derailer', 'skipping gears', 'piano lessons', 'how to'],
  }

  test('misspellings and other endings are borne out, other subjects are not', () => {
    const check = checkOf('tag-support', draft)
    expect(pointedAt(draft, check)).toEqual(['piano lessons'])
    expect(check.points).toBeCloseTo(7.5)
    expect(check.fixes[0]!.value).toEqual(['rear derailer', 'skipping gears', 'how to'])
  })

  test('a text is needed to compare with', () => expect(checkOf('tag-support', { tags: ['a'] }).state).toBe('n/a'))
})
