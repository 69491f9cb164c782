import {
  emptyLocalised,
  exportedLocalised,
  localisedPhrases,
  localisedSchema,
  lookedUp,
  standingFor,
  withPhrase,
  type LocalisedPhrase,
} from '../../../../core/brief/items/localised'

const ORDER = ['clean chain', 'oil chain', 'wax chain']
const texts = (phrases: LocalisedPhrase[]) => phrases.map(({ text }) => text)

test('nothing is written in a new language, and an unknown region is refused', () => {
  expect(emptyLocalised('de', 'DE')).toEqual({
    language: 'de',
    region: 'DE',
    title: '',
    description: '',
    tags: [],
    phrases: [],
  })
  expect(() => localisedSchema.parse({ language: 'de', region: 'XX' })).toThrow(/not a known region/u)
  expect(() => localisedSchema.parse({ language: 'german' })).toThrow(/code/u)
})

test('phrases stand in the order of the brief, own ones after them', () => {
  let phrases: LocalisedPhrase[] = [{ text: 'ritzel', from: null, counts: true }]
  phrases = withPhrase(phrases, 'oil chain', ' kette ölen ', ORDER)
  phrases = withPhrase(phrases, 'clean chain', 'kette reinigen', ORDER)
  expect(texts(phrases)).toEqual(['kette reinigen', 'kette ölen', 'ritzel'])
  expect(standingFor({ phrases }, 'oil chain')?.text).toBe('kette ölen')
  expect(standingFor({ phrases }, 'wax chain')).toBeNull()
  expect(texts(withPhrase(phrases, 'oil chain', '', ORDER))).toEqual(['kette reinigen', 'ritzel'])
})

test('a phrase counts once it was looked up, and no longer when it is changed', () => {
  let phrases = withPhrase([], 'oil chain', 'kette ölen', ORDER)
  phrases = withPhrase(phrases, 'clean chain', 'kette putzen', ORDER)
  expect(localisedPhrases({ phrases })).toEqual({ lead: '', support: [] })
  phrases = lookedUp(phrases, text => text === 'kette ölen')
  expect(localisedPhrases({ phrases })).toEqual({ lead: 'kette ölen', support: [] })
  phrases = lookedUp(phrases, text => text === 'kette putzen')
  // A look that tells nothing of it takes nothing back.
  expect(localisedPhrases({ phrases })).toEqual({ lead: 'kette putzen', support: ['kette ölen'] })
  phrases = withPhrase(phrases, 'clean chain', 'kette reinigen', ORDER)
  expect(localisedPhrases({ phrases })).toEqual({ lead: 'kette ölen', support: [] })
})

test('exported under headings that name the language; empty texts are left out', () => {
  const german = { ...emptyLocalised('de', 'DE'), title: 'Kette reinigen', tags: ['kette', 'fahrrad'] }
  expect(exportedLocalised([german, emptyLocalised('es', 'ES')], () => 'German')).toBe(
    'TITLE, GERMAN\nKette reinigen\n\nTAGS, GERMAN\nkette, fahrrad\n',
  )
})
