import { checkOf, pointedAt } from '../checkOf'

const lead = 'index a rear derailleur'

describe('title-lead', () => {
  test.each([
    // Points are ten times the fraction of the grade, as the check's own scale has it.
    ['How to index a rear derailleur', 'met', 10],
    ['Indexing a rear derailleur', 'partly', 9],
    ['Index your rusty rear derailleur', 'partly', 7],
    ['Derailleur trouble: the rear one, and how to index', 'partly', 5],
    // Two of its three content words: .3 × 2/3 = .2.
    ['Rear derailleur care', 'partly', 2],
    ['Spokes and wheels', 'missing', 0],
  ])('%s', (title, state, points) => {
    const check = checkOf('title-lead', { title }, { lead })
    expect(check.state).toBe(state)
    expect(check.points).toBeCloseTo(points)
  })

  test('points at the words it found', () => {
    const draft = { title: 'Index your rusty rear derailleur' }
    expect(pointedAt(draft, checkOf('title-lead', draft, { lead }))).toEqual(['Index', 'rear', 'derailleur'])
  })

  test('its fix puts the lead at the front and keeps the rest', () => {
    const check = checkOf('title-lead', { title: 'Rusty gears? Start here' }, { lead })
    expect(check.fixes[0]).toMatchObject({ field: 'title', value: 'Index a rear derailleur: Rusty gears? Start here' })
  })

  test('offers the lead alone where both do not fit', () => {
    const check = checkOf('title-lead', { title: 'x'.repeat(95) }, { lead })
    expect(check.fixes).toMatchObject([
      { label: 'Use the lead as the title', field: 'title', value: 'Index a rear derailleur' },
    ])
  })

  test('without a lead, or without the field, it does not apply', () => {
    expect(checkOf('title-lead', { title: 'Any' })).toMatchObject({ state: 'n/a', outOf: 0, points: 0 })
    expect(checkOf('title-lead', { description: 'Any' }, { lead })).toMatchObject({ state: 'n/a', outOf: 0 })
  })
})

describe('title-front', () => {
  test('whole at the front is met; cut or behind the cut is not', () => {
    expect(checkOf('title-front', { title: 'How to index a rear derailleur' }, { lead }).state).toBe('met')
    const before = 'Everything that we have learnt in forty winters about how '
    expect(checkOf('title-front', { title: `${before}to index a rear derailleur` }, { lead }).points).toBe(4)
    expect(
      checkOf('title-front', { title: `${before}and why you should always index a rear derailleur` }, { lead }).state,
    ).toBe('missing')
  })
})

describe('title-spoken', () => {
  test.each([
    ['HOW TO FIX YOUR BIKE', 'words in capitals', 'How to fix your bike'],
    ['Fix it now!!! Today', 'repeated exclamation marks', 'Fix it now! Today'],
    ['Index gears: how to index gears', 'the lead is repeated', 'Index gears: how to'],
  ])('%s', (title, fault, mended) => {
    const check = checkOf('title-spoken', { title }, { lead: 'index gears' })
    expect(check.message).toContain(fault)
    // One fault costs .4.
    expect(check.points).toBeCloseTo(6)
    expect(check.fixes[0]!.value).toBe(mended)
  })

  test('a repeated word and bars are told without a fix, and two faults cost twice', () => {
    const check = checkOf('title-spoken', { title: 'Bike tips | bike care | bike wash' })
    expect(check.points).toBeCloseTo(2)
    expect(check.message).toContain('“bike” 3 times')
  })

  test('a plain sentence and one short name in capitals are fine', () => {
    expect(checkOf('title-spoken', { title: 'My GPS lost me in Marrowby' }).state).toBe('met')
  })
})

describe('title-is-lead', () => {
  test('the phrase and nothing else', () => {
    expect(checkOf('title-is-lead', { title: 'Index a rear derailleur' }, { lead }).state).toBe('met')
    // Two words more: .7 − .1 × 2 = .5.
    expect(checkOf('title-is-lead', { title: 'How to index a rear derailleur' }, { lead }).points).toBeCloseTo(5)
    expect(checkOf('title-is-lead', { title: 'Bleeding brakes' }, { lead }).state).toBe('missing')
  })
})

describe('title-width', () => {
  test('short of the least in proportion, over the most in proportion', () => {
    // 30 of 40 characters asked for: .75. 75 where 60 are allowed: 1 − 15/60 = .75.
    expect(checkOf('title-width', { title: 'x'.repeat(30) }, { settings: { least: 40, most: 60 } }).points).toBeCloseTo(
      7.5,
    )
    expect(
      checkOf('title-width', { title: 'x'.repeat(75) }, { settings: { least: 40, most: 60, aim: 'short' } }).points,
    ).toBeCloseTo(7.5)
    expect(checkOf('title-width', { title: 'x'.repeat(50) }, { settings: { least: 40, most: 60 } }).state).toBe('met')
  })
})

describe('title-length and title-signs', () => {
  test('counts code points, so that an emoji is one', () => {
    expect(checkOf('title-length', { title: '🚲'.repeat(100) }).state).toBe('met')
    const over = checkOf('title-length', { title: `${'word '.repeat(19)}longer words` })
    expect(over).toMatchObject({ state: 'missing', message: '7 characters over the limit of 100. Shorten it.' })
    expect(over.fixes[0]!.value).toBe('word '.repeat(19).trim())
  })

  test('an empty title is missing, a sign the site refuses is taken out', () => {
    expect(checkOf('title-length', { title: ' ' }).state).toBe('missing')
    const draft = { title: 'A <b>bold</b> title' }
    const check = checkOf('title-signs', draft)
    expect(pointedAt(draft, check)).toEqual(['<', '>', '<', '>'])
    expect(check.fixes[0]!.value).toBe('A bold title')
  })
})

describe('title-kept', () => {
  test('words of the title that nothing else speaks of', () => {
    const draft = { title: 'Fix squeaking brakes for ten pounds', description: 'How to fix brakes that squeak.' }
    const check = checkOf('title-kept', draft)
    // fix, squeak and brake are told; ten and pound are not: 3/5 of the .8 that is enough = .75.
    expect(check.points).toBeCloseTo(7.5)
    expect(pointedAt(draft, check)).toEqual(['ten', 'pounds'])
  })

  test('spoken words bear a title out too', () => {
    const captions = { timed: true, cues: [{ start: 1, end: 3, text: 'all of it costs ten pounds' }] }
    expect(
      checkOf('title-kept', {
        title: 'Fix squeaking brakes for ten pounds',
        description: 'How to fix brakes that squeak.',
        captions,
      }).state,
    ).toBe('met')
  })
})
