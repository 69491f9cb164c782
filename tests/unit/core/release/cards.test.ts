import fc from 'fast-check'
import { emptyFields, fieldOf } from '../../../../core/brief/brief'
import { DEFAULT_PROFILE as profile } from '../../../../core/draft/limits'
import { cardFaults, cardsSchema, type Card } from '../../../../core/release/cards'
import {
  aligned,
  boxOf,
  ELEMENT_KINDS,
  elementFaults,
  endScreenFaults,
  endScreenStart,
  fitted,
  spokenUnder,
  type EndElement,
} from '../../../../core/release/endScreen'
import { momentsOf } from '../../../../core/release/moments'
import { CHANNEL_RIGHTS } from '../../../../core/release/rights'
import { nearestStart, ticksOf } from '../../../../core/release/strip'

const card = (more: Partial<Card> = {}): Card => ({
  id: more.id ?? `c${more.at ?? 60}`,
  at: 60,
  kind: 'video',
  target: 'v-1',
  title: 'Wax a chain',
  message: 'How to wax',
  teaser: 'Wax it',
  ...more,
})
const around = { seconds: 600, endFrom: 580, profile, rights: CHANNEL_RIGHTS }
const element = (more: Partial<EndElement> = {}): EndElement => ({
  id: 'e1',
  kind: 'video',
  pick: 'best',
  target: '',
  title: '',
  x: 0.1,
  y: 0.1,
  width: 0.3,
  ...more,
})

describe('a card', () => {
  test.each<[string, Partial<Card>, string | null]>([
    ['at its moment has no fault', {}, null],
    ['after the end of the video', { at: 600 }, 'The video ends at 10:00.'],
    ['under the end screen', { at: 585 }, 'The end screen covers it from 9:40 on.'],
    ['without a target', { target: '' }, 'Choose the video.'],
    ['with an address that is none', { kind: 'link', target: 'example' }, 'An address begins with https://'],
    ['with a long teaser', { teaser: 'x'.repeat(31) }, 'The teaser has 31 characters, 30 at most.'],
    ['without a teaser', { teaser: ' ' }, 'The teaser is missing'],
  ])('%s', (_, more, fault) => {
    const [found] = cardFaults([card(more)], around)
    if (fault === null) expect(found).toEqual([])
    else expect(found![0]).toContain(fault)
  })
  test('too near to the one before, whatever the order they are kept in; a sixth is one too many', () => {
    const near = cardFaults([card({ at: 67 }), card({ at: 60 })], around)
    expect(near).toEqual([['It comes less than 8 seconds after the one before.'], []])
    const six = cardFaults(
      [60, 90, 120, 150, 180, 30].map(at => card({ at })),
      around,
    )
    expect(six.map(faults => faults.length)).toEqual([0, 0, 0, 0, 1, 0])
  })
  test('a link is not allowed where the account may not set one; of an unknown length nothing is said', () => {
    const link = card({ kind: 'link', target: 'https://marrowby.example/wax' })
    expect(cardFaults([link], { ...around, rights: ['publish'] })[0]![0]).toContain('does not let this channel')
    expect(cardFaults([link], around)[0]).toEqual([])
    expect(cardFaults([card({ at: 50_000 })], { ...around, seconds: null, endFrom: null })[0]).toEqual([])
  })
  test('two under one id are refused, and a brief tells its cards by their time', () => {
    expect(cardsSchema.safeParse([card(), card()]).success).toBe(false)
    expect(fieldOf('cards').shown([card({ at: 90 }), card()])).toBe(
      '1:00 Video: Wax a chain – Wax it / How to wax\n1:30 Video: Wax a chain – Wax it / How to wax',
    )
  })
})

describe('an end screen', () => {
  test('lasts the last 5 to 20 seconds and shows a video or a playlist', () => {
    const faults = (from: number, elements: EndElement[]) => endScreenFaults({ from, elements }, 600, profile)
    expect(faults(580, [element()])).toEqual([])
    expect(faults(595, [element({ kind: 'playlist' })])).toEqual([])
    expect(faults(579, [element()])[0]).toContain('would last 21')
    expect(faults(596, [element()])[0]).toContain('would last 4')
    expect(faults(590, [element({ kind: 'subscribe' })])).toEqual(['It shows at least one video or playlist.'])
    expect(endScreenFaults({ from: 580, elements: [element()] }, null, profile)[0]).toContain('not known')
    expect([600, 12].map(seconds => endScreenStart(seconds, profile))).toEqual([580, 0])
  })
  test('its elements have a target, their place, and room', () => {
    const faults = (...elements: EndElement[]) => elementFaults(elements, profile, CHANNEL_RIGHTS)
    expect(faults(element())).toEqual([[]])
    expect(faults(element({ pick: 'chosen' }))).toEqual([['Choose the video.']])
    expect(faults(element({ kind: 'subscribe', width: 0.14 }))).toEqual([[]])
    expect(faults(element(), element({ id: 'e2', x: 0.3 }))).toEqual([
      ['It overlaps another one.'],
      ['It overlaps another one.'],
    ])
    expect(faults(element(), element({ id: 'e2', x: 0.6 }))).toEqual([[], []])
    expect(faults(element({ x: 0.9 }))).toEqual([['A part of it is outside the frame.']])
  })
  test('an element near a line of another one, or of the frame, lies on it', () => {
    const found = aligned(element({ id: 'e2', x: 0.6, y: 0.11 }), [element()])
    expect(found.element.y).toBeCloseTo(0.1)
    expect(found.y).toHaveLength(1)
    expect(aligned(element({ x: 0.345, y: 0.7 }), []).element.x).toBeCloseTo(0.35)
    expect(aligned(element({ x: 0.6, y: 0.4 }), [element()]).x).toEqual([])
  })
  test('wherever it is dragged and however it is sized, it stays within the frame', () => {
    const share = fc.double({ min: -2, max: 3, noNaN: true })
    fc.assert(
      fc.property(fc.constantFrom(...ELEMENT_KINDS), share, share, share, (kind, x, y, width) => {
        const box = boxOf(fitted(element({ kind, x, y, width })))
        expect(box.x).toBeGreaterThanOrEqual(0)
        expect(box.y).toBeGreaterThanOrEqual(0)
        expect(box.x + box.width).toBeLessThanOrEqual(1)
        expect(box.y + box.height).toBeLessThanOrEqual(1)
      }),
    )
  })
  test('what is still said under it is told, a farewell is not', () => {
    const cues = [
      { start: 570, end: 579, text: 'How to wax bike chains.' },
      { start: 580, end: 585, text: 'One more thing: clean bike chain links first.' },
      { start: 585, end: 590, text: 'Thanks for watching.' },
    ]
    expect(spokenUnder({ from: 580 }, cues, ['wax bike chain', 'clean bike chain', ''], 'en')).toEqual([
      { at: 580, text: cues[1]!.text, phrase: 'clean bike chain' },
    ])
  })
  test('in an empty brief there is none', () => {
    expect(emptyFields().endScreen).toBeNull()
    expect(fieldOf('endScreen').shown({ from: 580, elements: [element()] })).toBe(
      'From 9:40 to the end\nBest video for each viewer – 30 % wide, 10 % from the left, 10 % from the top',
    )
  })
})

describe('where a title is mentioned', () => {
  const cues = [
    'Today we clean a bike chain.',
    'Brush the chain of the bike.',
    'How to remove a bike chain you see in another film.',
    'Clean the bike chain again.',
  ].map((text, i) => ({ start: 10 * i, end: 10 * i + 9, text }))
  test('is the cue that says most of what the title alone tells', () => {
    const found = momentsOf([{ id: 'a', title: 'How to remove a bike chain' }], cues, 'en')
    expect(found).toMatchObject([{ at: 20, target: { id: 'a' } }])
    expect(found[0]!.share).toBeGreaterThan(0.9)
  })
  test('is nowhere for what the whole video is about, for what is not said, and without words', () => {
    const titles = ['Bike chain explained', 'How to true a wheel', '!!!', ''].map((title, i) => ({ id: `${i}`, title }))
    expect(momentsOf(titles, cues, 'en')).toEqual([])
    expect(momentsOf([{ id: 'a', title: 'How to remove a bike chain' }], [], 'en')).toEqual([])
  })
})

describe('the strip', () => {
  test('has times far enough apart, within its window and the video', () => {
    expect(ticksOf(600, 1, { start: 0, end: 600 })).toEqual([0, 120, 240, 360, 480, 600])
    expect(ticksOf(600, 10, { start: 95, end: 125 })).toEqual([90, 100, 110, 120])
    expect(ticksOf(10_800, 0.05, { start: 0, end: 20_000 })).toEqual([0, 1800, 3600, 5400, 7200, 9000, 10_800])
  })
  test('what is dragged holds on to the nearest line within reach', () => {
    const cues = [0, 4, 9].map(start => ({ start, end: start + 3, text: '' }))
    expect([0.5, 3.2, 6, 8.9, 30].map(at => nearestStart(cues, at, 1))).toEqual([0, 4, null, 9, null])
    expect(nearestStart([], 1, 5)).toBeNull()
  })
})
