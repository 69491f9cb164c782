import { checkOf, pointedAt } from '../checkOf'

describe('opening-plain', () => {
  test('text, some links, all links', () => {
    expect(checkOf('opening-plain', { description: 'You learn to wax a chain.' }).state).toBe('met')
    const draft = { description: 'Wax: https://wheelshed.example and more to read about it here' }
    const check = checkOf('opening-plain', draft)
    expect(check.state).toBe('partly')
    expect(pointedAt(draft, check)).toEqual(['https://wheelshed.example'])
    expect(checkOf('opening-plain', { description: 'https://wheelshed.example/a/long/path #wax' }).state).toBe(
      'missing',
    )
    // What comes after the opening is none of its business.
    expect(checkOf('opening-plain', { description: `${'word '.repeat(40)}https://wheelshed.example` }).state).toBe(
      'met',
    )
  })
})

describe('comment-question', () => {
  test('a question, none, and one that is offered', () => {
    expect(checkOf('comment-question', { description: 'Which wax do you use?' }).state).toBe('met')
    const check = checkOf('comment-question', { description: 'All about wax.' })
    expect(check.state).toBe('missing')
    expect(check.fixes[0]!.value).toMatch(/^All about wax\.\n\n.*\?/u)
    expect(checkOf('comment-question', { description: 'https://wheelshed.example/?a=b' }).state).toBe('missing')
  })
})

describe('contact-first', () => {
  const lead = 'bike repair near me'
  const first = `We repair bikes.\n\n${'More about the shop and its people. '.repeat(12)}`
  test('only for searches for somebody to hire', () => {
    expect(checkOf('contact-first', { description: 'x' }, { lead: 'how to wax a chain' }).state).toBe('n/a')
    expect(checkOf('contact-first', { description: 'We repair bikes.' }, { lead }).state).toBe('missing')
    expect(checkOf('contact-first', { description: 'Call 01632 960123.' }, { lead }).state).toBe('met')
    expect(checkOf('contact-first', { description: 'Write to shop@wheelshed.example' }, { lead }).state).toBe('met')
  })
  test('far down it counts in part, and moves below the first line', () => {
    const check = checkOf(
      'contact-first',
      { description: `${first}\n\nCall 01632 960123.\nOpen on Sundays.` },
      { lead },
    )
    expect(check.state).toBe('partly')
    expect(check.fixes[0]!.value).toMatch(/^We repair bikes\.\n\nCall 01632 960123\.\n\nMore about/u)
    expect(check.fixes[0]!.value).toMatch(/Open on Sundays\.$/u)
  })
})

describe('standing-lines', () => {
  const context = { standing: ['My tools: https://wheelshed.example/tools\nThanks!', 'Music by nobody'] }
  test('there, there though indented, missing', () => {
    expect(checkOf('standing-lines', { description: 'x' }).state).toBe('n/a')
    const both = 'Text\n\n  My tools: https://wheelshed.example/tools \nThanks!\n\nMusic by nobody'
    expect(checkOf('standing-lines', { description: both }, { context }).state).toBe('met')
    const check = checkOf('standing-lines', { description: 'Music by nobody' }, { context })
    expect(check.points).toBeCloseTo(5)
    expect(check.fixes[0]!.value).toBe('Music by nobody\n\nMy tools: https://wheelshed.example/tools\nThanks!')
  })
  test('filled in with an earlier title: filled in anew, not added a second time', () => {
    const filled = { standing: ['More on Wax a chain', 'Thanks'], placed: ['More on Cleaning', null] }
    const check = checkOf('standing-lines', { description: 'Text\n\nMore on Cleaning\n\nThanks' }, { context: filled })
    expect(check.state).toBe('partly')
    expect(check.points).toBeCloseTo(7.5)
    expect(check.fixes.map(fix => fix.value)).toEqual(['Text\n\nMore on Wax a chain\n\nThanks'])
  })
})

describe('hashtags', () => {
  const lead = 'bike chain'
  test('their number', () => {
    const none = checkOf('hashtag-count', { description: 'About chains' }, { lead })
    expect(none).toMatchObject({ state: 'missing', fixes: [{ value: 'About chains\n\n#bikeChain' }] })
    expect(checkOf('hashtag-count', { description: '#chain' }, { lead }).state).toBe('met')
    // Five of six.
    const many = checkOf('hashtag-count', { description: '#a1 #b1 #c1 #d1 #e1 #f1' }, { lead })
    expect(many.points).toBeCloseTo((10 * 5) / 6)
  })
  test('their limit', () => {
    const tags = (n: number) => ({ description: Array.from({ length: n }, (_, i) => `#tag${i}`).join(' ') })
    expect(checkOf('hashtag-limit', tags(60)).state).toBe('met')
    expect(checkOf('hashtag-limit', tags(61))).toMatchObject({ state: 'missing', ranges: [{ field: 'description' }] })
    expect(checkOf('hashtag-limit', { description: 'none' }).state).toBe('n/a')
  })
  test('whether they are about the subject', () => {
    const draft = { title: 'Wax a bike chain', description: '#bikechain #waxing #makeup' }
    const check = checkOf('hashtag-support', draft, { lead })
    expect(check.points).toBeCloseTo(10 * (2 / 3))
    expect(pointedAt(draft, check)).toEqual(['#makeup'])
    expect(checkOf('hashtag-support', { description: '#Kettenöl' }, { lead: 'kettenöl', language: 'de' }).state).toBe(
      'met',
    )
  })
})
