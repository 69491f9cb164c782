import { checkOf, pointedAt } from '../checkOf'

const lead = 'true a bike wheel'
const begin = (description: string, where: string) =>
  checkOf('description-begin', { description }, { lead, settings: { where } })

describe('description-begin', () => {
  test('alone on the first line', () => {
    expect(begin('True a bike wheel\n\nMore below.', 'alone').state).toBe('met')
    expect(begin('True a bike wheel with us\n\nMore.', 'alone').points).toBeCloseTo(4)
  })

  test('in the first two sentences', () => {
    expect(begin('A bent rim? Learn to true a bike wheel at home. More.', 'sentences').state).toBe('met')
    expect(begin('A bent rim? Fear not. Learn to true a bike wheel.', 'sentences').points).toBeCloseTo(4)
  })

  test('in the opening that results show: its first 160 code points', () => {
    expect(begin(`${'x'.repeat(140)} true a bike wheel`, 'opening').state).toBe('met')
    expect(begin(`${'x'.repeat(150)} true a bike wheel`, 'opening').points).toBeCloseTo(4)
  })

  test('with other endings it wins most of it, absent nothing', () => {
    expect(
      checkOf('description-begin', { description: 'Cleaning a bike chain is easy.' }, { lead: 'clean a bike chain' })
        .points,
    ).toBeCloseTo(7)
    const absent = begin('Spokes.', 'alone')
    expect(absent.state).toBe('missing')
    expect(absent.fixes[0]!.value).toBe('True a bike wheel\n\nSpokes.')
  })
})

describe('description-first', () => {
  test('benefits first, or the link, by rule set', () => {
    expect(checkOf('description-first', { description: 'You will learn to stop a rub.' }).state).toBe('met')
    const link = { description: 'https://wheelshed.example/shop\nYou will learn much.' }
    const check = checkOf('description-first', link)
    expect(check.state).toBe('missing')
    expect(check.fixes[0]!.value).toBe('You will learn much.\n\nhttps://wheelshed.example/shop')
    expect(checkOf('description-first', link, { settings: { first: 'link' } }).state).toBe('met')
  })

  test('every link and hashtag line before the text moves to the end; without a text there is nothing to offer', () => {
    const check = checkOf('description-first', {
      description: 'https://wheelshed.example/a\n\n#bike #shed\nYou will learn much.\nMore.',
    })
    expect(check.fixes).toEqual([
      expect.objectContaining({
        label: 'Move these lines to the end',
        value: 'You will learn much.\nMore.\n\nhttps://wheelshed.example/a\n\n#bike #shed',
      }),
    ])
    expect(checkOf('description-first', { description: '#bike\n----\nYou will learn much.' }).fixes[0]!.value).toBe(
      'You will learn much.\n\n#bike\n----',
    )
    expect(checkOf('description-first', { description: '#bike\n----' }).fixes).toEqual([])
    expect(
      checkOf('description-first', { description: 'https://wheelshed.example bike\n\nhttps://wheelshed.example bike' }),
    ).toMatchObject({ state: 'missing', fixes: [] })
  })

  test('in a language without a word list a plain line passes', () => {
    expect(checkOf('description-first', { description: 'Pyörän ketju.' }, { language: 'fi' }).state).toBe('met')
  })
})

describe('description-limit and -length', () => {
  test('bytes are counted, not characters', () => {
    // é is two bytes: 2,500 of them are the limit, 2,501 two bytes more.
    expect(checkOf('description-limit', { description: 'é'.repeat(2500) }).state).toBe('met')
    expect(checkOf('description-limit', { description: 'é'.repeat(2501) }).message).toBe(
      '2 bytes over the limit of 5,000. Shorten it.',
    )
    expect(checkOf('description-limit', { description: '' }).state).toBe('missing')
  })

  test('length in proportion to what is asked for', () => {
    expect(
      checkOf('description-length', { description: 'x'.repeat(150) }, { settings: { least: 600, most: 5000 } }).points,
    ).toBeCloseTo(2.5)
    expect(
      checkOf('description-length', { description: 'x'.repeat(800) }, { settings: { least: 0, most: 200 } }).points,
    ).toBeCloseTo(2.5)
  })

  test('refused signs are found and taken out', () => {
    const draft = { description: 'a < b' }
    expect(pointedAt(draft, checkOf('description-signs', draft))).toEqual(['<'])
  })
})

describe('support-told', () => {
  test('whole phrases, fragments and the missing ones', () => {
    const draft = { title: 'Replace a spoke', description: 'We look at spoke tension and the rim.' }
    const check = checkOf('support-told', draft, {
      support: ['replace a spoke', 'spoke tension', 'bike wheel truing stand'],
    })
    // 1 in the title, 1 in the text, none of the third: 2/3.
    expect(check.points).toBeCloseTo(20 / 3)
    expect(check.message).toContain('2 of 3')
    expect(check.fixes[0]!.value).toBe(
      'We look at spoke tension and the rim.\n\nAlso in this video: bike wheel truing stand.',
    )
  })

  test('no support phrases, nothing to look at', () =>
    expect(checkOf('support-told', { description: 'x' }).state).toBe('n/a'))
})

describe('link-scheme', () => {
  test('bare addresses are found and completed', () => {
    const draft = { description: 'See wheelshed.example/gears and https://wheelshed.com today' }
    const check = checkOf('link-scheme', draft)
    expect(check.points).toBeCloseTo(5)
    expect(pointedAt(draft, check)).toEqual(['wheelshed.example/gears'])
    expect(check.fixes[0]!.value).toBe('See https://wheelshed.example/gears and https://wheelshed.com today')
  })

  test('a mail address is no link, and without links it does not apply', () =>
    expect(checkOf('link-scheme', { description: 'Write to shed@wheelshed.com' }).state).toBe('n/a'))
})

describe('viewer-request', () => {
  test.each([
    ['Subscribe for more.', 'en', 'met'],
    ['Tell us how it went.', 'en', 'met'],
    ['Oil or wax, what do you use?', 'en', 'met'],
    ['We oil chains.', 'en', 'missing'],
    ['Abonniert den Kanal.', 'de', 'met'],
    ['Ketju.', 'fi', 'n/a'],
  ])('%s (%s)', (description, language, state) =>
    expect(checkOf('viewer-request', { description }, { language }).state).toBe(state),
  )
})
