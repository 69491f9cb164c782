import { truthOf } from '../../../../core/draft/truth'
import { spread } from '../../../../core/captions/spread'
import type { Draft } from '../../../../core/draft/draft'

const spoken = (text: string) => ({ timed: true, cues: spread(text) })
const promised = (draft: Draft, language = 'en') =>
  truthOf(draft, language).unsupported.map(({ field, item, text }) =>
    item === undefined ? [field, text] : [field, item, text],
  )

describe('what is promised', () => {
  const captions = spoken('We wax the chain. First we clean it with a brush. Second we dry it. Third comes the wax.')
  test('and never spoken is told where it stands; words for the kind of video promise nothing', () => {
    const draft = {
      title: 'Wax a carbon belt drive and a chain: easy tutorial (2026)',
      description: 'Waxing chains, with a torque wrench.\n\nA later line about belts.',
      tags: ['chain wax', 'belt drive', 'clean chain brush', '2026'],
      captions,
    }
    const { unsupported } = truthOf(draft, 'en')
    expect(promised(draft)).toEqual([
      ['title', 'carbon belt drive'],
      ['description', 'torque wrench'],
      ['tags', 1, 'belt drive'],
    ])
    for (const { field, item, start, end, text } of unsupported)
      expect((item === undefined ? draft[field as 'title'] : draft.tags[item]!).slice(start, end)).toBe(text)
  })
  test('without anything spoken nothing is told', () => {
    expect(truthOf({ title: 'Wax' }, 'en')).toEqual({ compared: false, unsupported: [], numbers: [] })
    expect(truthOf({ title: 'Wax', captions: { timed: true, cues: [] } }, 'en').compared).toBe(false)
  })
  test('in other languages', () => {
    const draft = { title: 'Kette wachsen und Riemen spannen', captions: spoken('Wir wachsen die Kette.') }
    expect(promised(draft, 'de')).toEqual([['title', 'Riemen spannen']])
  })
})

describe('numbers of the title', () => {
  const numbers = (draft: Draft, language = 'en') =>
    truthOf(draft, language).numbers.map(({ says, found }) => [says, found])
  test('are counted by numbered lines, by what is spoken, and by chapters', () => {
    expect(numbers({ title: '5 fixes', description: '1. a\n2. b\n3. c' })).toEqual([[5, 3]])
    expect(numbers({ title: 'Three fixes', captions: spoken('First this. Second that. Third the last.') })).toEqual([
      [3, 3],
    ])
    expect(
      numbers({ title: '4 fixes', captions: spoken('Fix number one is this. Fix number two. Fix number three.') }),
    ).toEqual([[4, 3]])
    const chapters = '0:00 Intro\n0:20 One\n0:40 Two\n1:00 Three\n1:20 Bye'
    expect(numbers({ title: '3 fixes', description: chapters })).toEqual([[3, 3]])
    expect(numbers({ title: '7 fixes', description: chapters })).toEqual([[7, 5]])
  })
  test('are not known where nothing is counted', () => {
    expect(numbers({ title: '7 fixes', description: 'Text', captions: spoken('we fix it') })).toEqual([[7, null]])
  })
  test('of time, price, model or year are no things', () => {
    for (const title of [
      'In 5 minutes',
      'For £5 only',
      '11 speed chain',
      '2026 guide',
      'Part 2',
      '700c wheels',
      '1x11 gears',
      '9-10 bolts',
    ])
      expect(numbers({ title })).toEqual([])
    expect(numbers({ title: 'Cinco errores', description: '1) a\n2) b' }, 'es')).toEqual([[5, 2]])
  })
})
