import { checkOf, pointedAt } from '../checkOf'

const stateOf = (id: string, title: string, extra: Parameters<typeof checkOf>[2] = {}) =>
  checkOf(id, { title }, extra).state

describe('title-words', () => {
  test('too few, enough, too many', () => {
    // Two of five words: 4 of 10 points. Six over fourteen: 1 − 6/14.
    expect(checkOf('title-words', { title: 'Chain care' }).points).toBeCloseTo(4)
    expect(stateOf('title-words', 'How to care for a chain')).toBe('met')
    const long = { title: Array.from({ length: 20 }, (_, i) => `w${i}`).join(' ') }
    const check = checkOf('title-words', long)
    expect(check.points).toBeCloseTo(10 * (1 - 6 / 14))
    expect(pointedAt(long, check)[0]).toMatch(/^w14 /u)
    expect(stateOf('title-words', ' ')).toBe('n/a')
  })
})

describe('title-format', () => {
  test.each([
    ['Chain wax review', 'en', 'met'],
    ['Kette wachsen: Anleitung', 'de', 'met'],
    ['Encerar la cadena: guía', 'es', 'met'],
    ['Chain wax', 'en', 'missing'],
    ['チェーン', 'ja', 'missing'],
    ['チェーン交換を解説', 'ja', 'met'],
    ['Kedja', 'sv', 'n/a'],
  ])('%s (%s)', (title, language, state) => {
    expect(stateOf('title-format', title, { language })).toBe(state)
  })
})

describe('title-hook', () => {
  test.each([
    ['Wax a chain', 'missing'],
    ['Wax a chain in 5 minutes', 'met'],
    ['Why wax a chain?', 'met'],
    ['Wax a chain without a mess', 'met'],
    ['Wax a chain (full winter test)', 'met'],
  ])('%s', (title, state) => {
    expect(stateOf('title-hook', title)).toBe(state)
  })
  test('in a language without words, signs count and their absence says nothing', () => {
    expect(stateOf('title-hook', 'Łańcuch', { language: 'pl' })).toBe('n/a')
    expect(stateOf('title-hook', 'Łańcuch w 5 minut', { language: 'pl' })).toBe('met')
  })
})

describe('title-apart', () => {
  const page = [
    { title: 'How to wax a bike chain', channel: 'A' },
    { title: 'Chain oil or wax', channel: 'B' },
  ]
  test('the words in common with the closest, worked out by hand', () => {
    expect(stateOf('title-apart', 'Wax a bike chain')).toBe('n/a')
    // wax, bike, chain, kitchen against wax, bike, chain: 3 of 4.
    const near = checkOf('title-apart', { title: 'Wax a bike chain, kitchen' }, { context: { page } })
    expect(near.points).toBeCloseTo((10 * 0.25) / 0.3)
    expect(near.message).toContain('75 %')
    expect(stateOf('title-apart', 'Waxing bike chains', { context: { page } })).toBe('missing')
    expect(stateOf('title-apart', 'Kitchen wax for a silent bike chain', { context: { page } })).toBe('met')
    expect(stateOf('title-apart', 'Saddle height', { context: { page } })).toBe('met')
  })
})

describe('title-promise', () => {
  test.each([
    ['Wax a chain at home', 'met'],
    ['The ultimate chain wax', 'partly'],
    ['The ULTIMATE chain wax', 'missing'],
    ['Chain wax, guaranteed!', 'missing'],
    ['Chain wax 🔥🔥🔥', 'missing'],
    ['Chain wax 🚲', 'met'],
  ])('%s', (title, state) => {
    expect(stateOf('title-promise', title)).toBe(state)
  })
})
