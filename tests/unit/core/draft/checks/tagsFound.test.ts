import { checkOf, pointedAt } from '../checkOf'

const lead = 'clean bike chain'

describe('first-tags', () => {
  test('closeness of the first three, and closer ones moved up', () => {
    const check = checkOf(
      'first-tags',
      { tags: ['clean bike chain', 'makeup', 'bike chain', 'bike chain oil'] },
      { lead },
    )
    expect(check.points).toBeCloseTo(10 * (2 / 3))
    expect(check.fixes[0]!.value).toEqual(['clean bike chain', 'bike chain', 'bike chain oil', 'makeup'])
    expect(checkOf('first-tags', { tags: ['bike chain'] }, { lead }).state).toBe('met')
    expect(checkOf('first-tags', { tags: ['makeup'] }, { lead }).state).toBe('missing')
    expect(checkOf('first-tags', { tags: [] }, { lead }).state).toBe('n/a')
  })
})

describe('tag-title', () => {
  test('the title is added where it fits', () => {
    const title = 'Clean a Bike Chain'
    expect(checkOf('tag-title', { title, tags: ['clean a bike  chain'] }).state).toBe('met')
    expect(checkOf('tag-title', { title, tags: ['wax'] }).fixes[0]!.value).toEqual(['wax', title])
    const full = { title, tags: ['x'.repeat(490)] }
    expect(checkOf('tag-title', full)).toMatchObject({ state: 'missing', fixes: [] })
    expect(checkOf('tag-title', { title: 'Clean, oil, ride', tags: [] }).state).toBe('n/a')
  })
})

describe('tag-misspelling', () => {
  test('a spelling of a phrase, none', () => {
    expect(checkOf('tag-misspelling', { tags: ['clean bike chian'] }, { lead }).state).toBe('met')
    expect(checkOf('tag-misspelling', { tags: ['bikechain'] }, { lead, support: ['bike chain'] }).state).toBe('met')
    expect(checkOf('tag-misspelling', { tags: ['clean bike chains'] }, { lead }).state).toBe('missing')
  })
})

describe('tag-filler', () => {
  test('words that name nothing go, but in the title’s copy, the tray and what people type', () => {
    const draft = { title: 'How to clean a chain', tags: ['the best wax for a chain', 'how to clean a chain', 'wax'] }
    const check = checkOf('tag-filler', draft)
    expect(check.points).toBeCloseTo(5)
    expect(check.fixes[0]!.value).toEqual(['best wax chain', 'how to clean a chain', 'wax'])
    expect(checkOf('tag-filler', draft, { context: { searches: { 'the best wax for a chain': 90 } } }).state).toBe(
      'met',
    )
    expect(checkOf('tag-filler', draft, { support: ['the best wax for a chain'] }).state).toBe('met')
    // What is left is there already: nothing is added twice.
    expect(checkOf('tag-filler', { tags: ['chain wax', 'the chain wax'] }).fixes[0]!.value).toEqual(['chain wax'])
    expect(checkOf('tag-filler', { tags: ['the who'] }).state).toBe('met')
    expect(checkOf('tag-filler', { tags: ['wax'] }).state).toBe('n/a')
  })
})

describe('tag-searches', () => {
  const tags = ['chain', 'Chain', 'wax', 'unknown thing']
  test('the sum counts each tag once, and says how many are unknown', () => {
    const few = checkOf('tag-searches', { tags }, { context: { searches: { chain: 300, wax: 99 } } })
    expect(few.points).toBeCloseTo((10 * Math.log(400)) / Math.log(1001))
    expect(few.message).toBe(
      '399 searches a month together; 1 tag of 3 unknown. This rule set asks for 1,000. Add tags that are searched for more.',
    )
    expect(checkOf('tag-searches', { tags }, { context: { searches: { chain: 1000 } } }).state).toBe('met')
    expect(checkOf('tag-searches', { tags }, { context: { searches: { chain: 0 } } }).state).toBe('missing')
    expect(checkOf('tag-searches', { tags }).state).toBe('n/a')
  })
  test('estimates are summed up to a whole number', () => {
    const enough = checkOf('tag-searches', { tags }, { context: { searches: { chain: 27_000.25, wax: 980.5 } } })
    expect(enough.message).toBe('27,981 searches a month together; 1 tag of 3 unknown.')
  })
})

describe('own-name', () => {
  const context = { ownName: 'Marrowby Wheels' }
  test('in a text, nowhere, not known', () => {
    expect(checkOf('own-name', { title: 'By Marrowby Wheels', tags: [] }, { context }).state).toBe('met')
    expect(checkOf('own-name', { tags: ['marrowby wheels'] }, { context }).state).toBe('met')
    expect(checkOf('own-name', { title: 'x', tags: ['wax'] }, { context }).fixes[0]!.value).toEqual([
      'wax',
      'Marrowby Wheels',
    ])
    expect(checkOf('own-name', { title: 'x' }).state).toBe('n/a')
  })
})

describe('other-names', () => {
  const page = [
    { title: 'x', channel: 'Pedal Harbour' },
    { title: 'y', channel: 'Bike Chain' },
    { title: 'z', channel: 'Marrowby Wheels' },
  ]
  const context = { page, ownName: 'Marrowby Wheels' }
  test('a rival’s name in a tag or the title; one’s own and words of the subject are none', () => {
    const draft = { title: 'Chain', tags: ['pedal harbour tips', 'marrowby wheels', 'bike chain', 'wax'] }
    const check = checkOf('other-names', draft, { lead, context })
    expect(check.points).toBeCloseTo(7.5)
    expect(pointedAt(draft, check)).toEqual(['pedal harbour tips'])
    expect(check.fixes[0]!.value).toEqual(['marrowby wheels', 'bike chain', 'wax'])
    expect(checkOf('other-names', { title: 'Better than Pedal Harbour', tags: [] }, { lead, context })).toMatchObject({
      state: 'missing',
      message: 'The title names Pedal Harbour. Leave it out unless the video is about it.',
    })
    expect(checkOf('other-names', { tags: ['wax'] }, { lead, context }).state).toBe('met')
    expect(checkOf('other-names', { tags: ['wax'] }, { lead }).state).toBe('n/a')
  })
})
