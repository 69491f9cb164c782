import { DEFAULT_PROFILE } from '../../../../core/draft/limits'
import { suggestHashtags, suggestTags, type SuggestQuestion, type TagPools } from '../../../../core/tags/suggest'

const pools: TagPools = {
  page: [
    { tag: 'bike chain wax', users: 6, of: 20, lift: 3.04 },
    { tag: 'pedal harbour', users: 2, of: 20, lift: 1 },
    { tag: 'makeup', users: 2, of: 20, lift: 9 },
    { tag: 'chains wax bike', users: 2, of: 20, lift: 1 },
  ],
  titles: ['How to wax a bike chain', 'Hot wax at home'],
  names: ['Pedal Harbour'],
  ownName: 'Marrowby Wheels',
  related: ['wax bike chain at home'],
  own: [{ tag: 'bike repair', videos: 3, times: 1.52 }],
  misspelt: [
    { tag: 'bike chian wax', of: 'bike chain wax', observed: true },
    { tag: 'bike chaine wax', of: 'bike chain wax', observed: false },
  ],
}
const VOLUMES: Record<string, number> = { 'wax bike chain': 90, 'bike chain wax': 990 }
const question = (given: Partial<SuggestQuestion> = {}): SuggestQuestion => ({
  draft: { title: 'Wax a Bike Chain', description: 'Hot wax keeps a chain clean.', tags: ['clean chain'] },
  phrases: { lead: 'wax bike chain', support: ['bike chain wax'] },
  language: 'en',
  profile: DEFAULT_PROFILE,
  pools,
  figures: new Map(Object.entries(VOLUMES).map(([tag, volume]) => [tag, { volume, chance: 0.5 }])),
  ...given,
})
const named = (of: string, answer = suggestTags(question())) =>
  [...answer.suggestions, ...answer.held].find(each => each.tag === of)!

test('each has its kind, its reasons and what it costs', () => {
  expect(named('wax bike chain')).toMatchObject({ kind: 'lead', reasons: ['Your lead phrase.'], volume: 90, cost: 16 })
  expect(named('bike chain wax')).toMatchObject({
    kind: 'near',
    reasons: ['In your tray.', 'On 6 of 20 results, 3.0 times as often as elsewhere.'],
  })
  expect(named('chains wax bike').reasons[1]).toMatch(/in other words, by a video that ranks/u)
  expect(named('bike repair').reasons).toEqual(['On 3 videos of yours, at 1.5 times your usual views a day.'])
  expect(named('bike chian wax')).toMatchObject({
    kind: 'misspelling',
    reasons: ['People misspell “bike chain wax” so.'],
  })
  expect(named('bike chaine wax').reasons[0]).toMatch(/meant to be wrong/u)
  expect(named('wax a bike chain')).toMatchObject({ kind: 'title', supported: true })
  expect(named('marrowby wheels')).toMatchObject({ kind: 'name', supported: true })
})

test('the value is closeness × log(10 + searches) × chance × support, by hand', () => {
  // The lead itself: 1 × log(100) × .5 × 1.
  expect(named('wax bike chain').value).toBeCloseTo(Math.log(100) * 0.5)
  // Its words in another order: scattered, .6 × log(1000) × .5.
  expect(named('bike chain wax').value).toBeCloseTo(0.6 * Math.log(1000) * 0.5)
  // Unknown searches and chance, not borne out by the text: the least closeness × log(10) × .5 × .25.
  expect(named('makeup').value).toBeCloseTo(0.15 * Math.log(10) * 0.5 * 0.25)
})

test('what has nothing to do with it is held back, and so is another channel’s name', () => {
  const { suggestions, held } = suggestTags(question())
  expect(held.map(each => each.tag).sort()).toEqual(['makeup', 'pedal harbour'])
  expect(held.find(each => each.tag === 'pedal harbour')!.reasons.at(-1)).toMatch(/sites forbid it/u)
  expect(suggestions.map(each => each.value)).toEqual(suggestions.map(each => each.value).sort((a, b) => b - a))
})

test('tags that are there are not suggested, and are told of in their order', () => {
  const { suggestions, current } = suggestTags(question({ draft: { tags: ['zebra', 'Wax  Bike Chain'] } }))
  expect(suggestions.map(each => each.tag)).not.toContain('wax bike chain')
  expect(current.map(each => [each.tag, each.kind])).toEqual([
    ['zebra', 'topic'],
    ['Wax  Bike Chain', 'lead'],
  ])
})

test('with nothing known there is nothing to suggest', () => {
  const empty: TagPools = { page: [], titles: [], names: [], ownName: '', related: [], own: [], misspelt: [] }
  expect(suggestTags(question({ draft: {}, phrases: { lead: '', support: [] }, pools: empty }))).toEqual({
    suggestions: [],
    held: [],
    current: [],
  })
})

test('hashtags: those of the phrases, then those of the page by use', () => {
  const page = [['#Chain', '#wax'], ['#chain'], ['#bike'], []]
  expect(suggestHashtags([{ hashtag: '#chain', phrase: 'chain' }], page, ['#BIKE'])).toEqual([
    { hashtag: '#chain', usedBy: 2, reason: 'From “chain”, on 2 of 4 results.' },
    { hashtag: '#wax', usedBy: 1, reason: 'On 1 of 4 results.' },
  ])
})
