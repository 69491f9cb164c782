import fc from 'fast-check'
import {
  composeDescription,
  DESCRIPTION_PARTS,
  LENGTHS,
  type ComposeQuestion,
} from '../../../../core/descriptions/compose'
import { gapsOf } from '../../../../core/descriptions/gaps'
import { hashtagsOf } from '../../../../core/draft/hashtags'
import { chaptersOf } from '../../../../core/chapters/lines'
import { linksOf } from '../../../../core/draft/links'
import { DEFAULT_PROFILE } from '../../../../core/draft/limits'
import { BALANCED } from '../../../../core/draft/ruleset'
import { scoreDraft } from '../../../../core/draft/score'

const PHRASES = {
  lead: 'how to index a rear derailleur',
  support: ['rear derailleur not shifting', 'derailleur hanger'],
}
const compose = (more: Partial<ComposeQuestion> = {}) =>
  composeDescription({ phrases: PHRASES, language: 'en', profile: DEFAULT_PROFILE, ...more })
const GIVEN = {
  benefits: ['Clean shifting in ten minutes', 'A way to see a bent hanger'],
  links: ['Workshop: wheelshed.example/gears', 'https://other.example'],
  contact: ['Harbour Street 4'],
  chapters: ['0:00 Start', '1:10 The hanger', '3:00 Indexing'],
}

test('the lead stands in the first sentence, what was given in its place, and links can be clicked', () => {
  const { description, gaps } = compose({ ...GIVEN, length: 'short' })
  expect(description.split(/[.\n]/u)[0]).toContain('How to index a rear derailleur')
  for (const given of ['Clean shifting in ten minutes', '- A way to see a bent hanger', 'Harbour Street 4'])
    expect(description).toContain(given)
  expect(linksOf(description).every(link => link.scheme)).toBe(true)
  expect(linksOf(description)).toHaveLength(2)
  expect(chaptersOf(description)).toHaveLength(3)
  expect(hashtagsOf(description).map(tag => tag.text)).toEqual([
    '#indexRearDerailleur',
    '#rearDerailleurShifting',
    '#derailleurHanger',
  ])
  expect(gaps).toBe(0)
})

test('what was not given is a marked gap, never a fact', () => {
  const { description, gaps } = compose({ length: 'long' })
  expect(gaps).toBe(gapsOf(description).length)
  // The opening, two phrases, four sections.
  expect(gaps).toBe(7)
  expect(description).not.toMatch(/\d|https/u)
  expect(gapsOf('[...] and […] but not [a]')).toEqual([
    { start: 0, end: 5 },
    { start: 10, end: 13 },
  ])
})

test('no gap asks for a phrase that stands already', () => {
  const phrases = {
    lead: 'how to fix squeaky bike brakes',
    support: ['squeaky bike brakes', 'squeaky brakes', 'how to fix squeaky brakes', 'bike brakes fix', 'clean rims'],
  }
  const { description, gaps } = compose({ phrases, benefits: ['Find the noise', 'Clean rims and pads'] })
  expect(gaps).toBe(2)
  expect(description).toContain('How to fix squeaky brakes: […]')
  expect(description).toContain('Bike brakes fix: […]')
})

test('lengths grow, another seed words it otherwise, the same one the same way', () => {
  const lengths = LENGTHS.map(length => compose({ ...GIVEN, length }).description.length)
  expect([...lengths].sort((a, b) => a - b)).toEqual(lengths)
  expect(compose({ seed: 4 })).toEqual(compose({ seed: 4 }))
  expect(compose({ seed: 5 }).description).not.toBe(compose({ seed: 4 }).description)
})

test('parts come in the order asked for; those left out are left out', () => {
  const { description } = compose({ ...GIVEN, order: ['contact', 'opening', 'hashtags'] })
  expect(description.indexOf('Harbour Street')).toBeLessThan(description.indexOf('How to index'))
  expect(description).not.toContain('wheelshed')
  expect(compose({ hashtags: [], order: ['hashtags'] }).description).toBe('')
  expect(compose({ hashtags: ['bikes', '#gears'], order: ['hashtags'] }).description).toBe('#bikes #gears')
})

test('other languages have their own sentences, or none of ours', () => {
  const german = compose({ phrases: { lead: 'fahrradkette wechseln', support: [] }, language: 'de', length: 'long' })
  expect(german.description).toContain('Schritt für Schritt: […]')
  const swedish = compose({ phrases: { lead: 'byta kedja', support: ['olja kedja'] }, language: 'sv', length: 'long' })
  expect(swedish.description).toBe('Byta kedja: […]\n\nOlja kedja: […]\n\n#bytaKedja #oljaKedja')
  expect(compose({ phrases: { lead: ' ', support: ['x'] } })).toEqual({ description: '', gaps: 0 })
})

test('a gap costs points until it is filled, and where there is none nothing is asked', () => {
  const check = (description: string) =>
    scoreDraft({ description }, PHRASES, BALANCED, DEFAULT_PROFILE, 'en').checks.find(each => each.id === 'no-gaps')!
  expect(check('We look at it: […]')).toMatchObject({ state: 'missing', points: 0, outOf: 6 })
  expect(check('We look at it: […]').ranges).toEqual([{ field: 'description', start: 15, end: 18 }])
  expect(check('We look at it.')).toMatchObject({ state: 'n/a', outOf: 0 })
})

test('whatever is given, the limit is kept where leaving out our own parts can keep it', () => {
  const line = fc.string({ maxLength: 80 })
  fc.assert(
    fc.property(
      line,
      fc.array(line, { maxLength: 12 }),
      fc.array(line, { maxLength: 10 }),
      fc.constantFrom(...LENGTHS),
      fc.constantFrom('en', 'de', 'es', 'tr', 'ja'),
      (lead, support, benefits, length, language) => {
        const made = compose({ phrases: { lead, support }, benefits, length, language })
        return (
          made.gaps === gapsOf(made.description).length &&
          new TextEncoder().encode(made.description).length <= 5000 &&
          !made.description.includes('\n\n\n')
        )
      },
    ),
    { numRuns: 300 },
  )
})

test('every part is known by its name', () => {
  expect(new Set(DESCRIPTION_PARTS).size).toBe(DESCRIPTION_PARTS.length)
})

test.each([
  ['bike repair near me', 'en', [], true],
  ['bike repair', 'en', [], true],
  ['bike chains oakminster', 'en', ['oakminster'], true],
  // Nothing says that it is a town.
  ['bike chains oakminster', 'en', [], false],
  ['how to index a rear derailleur', 'en', [], false],
  ['taller de bicicletas cerca de mí', 'es', [], true],
] as const)('“%s” (%s, places %j): how to be reached comes first is %s', (lead, language, places, first) => {
  const { description } = compose({
    ...GIVEN,
    phrases: { lead, support: [] },
    language,
    places: new Set(places),
  })
  const [contact, benefit] = ['Harbour Street 4', 'A way to see a bent hanger'].map(each => description.indexOf(each))
  expect(contact! < benefit!).toBe(first)
})

test('an order that the person gave is kept, whatever the searcher wants', () => {
  const { description } = compose({
    ...GIVEN,
    phrases: { lead: 'bike repair near me', support: [] },
    order: ['opening', 'benefits', 'contact'],
  })
  expect(description.indexOf('Harbour Street 4')).toBeGreaterThan(description.indexOf('bent hanger'))
})
