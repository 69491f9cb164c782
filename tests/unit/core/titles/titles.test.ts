import fc from 'fast-check'
import { DEFAULT_PROFILE } from '../../../../core/draft/limits'
import { BALANCED, EXACT_LINE, FULL_WIDTH } from '../../../../core/draft/ruleset'
import { closeness, closestAmong, stemsOf } from '../../../../core/titles/closeness'
import { foldPhrases } from '../../../../core/titles/fold'
import { formOf } from '../../../../core/titles/form'
import { titleIdeas, titleStart, type IdeasQuestion } from '../../../../core/titles/ideas'
import { patternsOf } from '../../../../core/titles/pattern'

const question = (more: Partial<IdeasQuestion> = {}): IdeasQuestion => ({
  phrases: {
    lead: 'how to index a rear derailleur',
    support: ['rear derailleur not shifting', 'adjust rear derailleur', 'derailleur hanger', 'index rear derailer'],
  },
  language: 'en',
  ruleSet: BALANCED,
  profile: DEFAULT_PROFILE,
  year: 2026,
  brand: 'Marrowby Wheel Shed',
  ...more,
})

test.each([
  ['how to index a rear derailleur', 'way'],
  ['adjust rear derailleur', 'task'],
  ['why is my bike chain skipping', 'reason'],
  ['how much does a cassette cost', 'question'],
  ['what is a derailleur hanger', 'question'],
  ['rear derailleur not shifting', 'fault'],
  ['bike chain skipping', 'fault'],
  ['piano tuning cost', 'cost'],
  ['bike service prices', 'cost'],
  ['best bike lights 2026', 'choice'],
  ['disc brake vs rim brake', 'versus'],
  ['bike repair near me', 'place'],
  ['bike repair marrowby', 'place'],
  ['bike chain', 'thing'],
])('“%s” is a %s', (phrase, form) => {
  expect(formOf(phrase, 'en', new Set(['marrowby']))).toBe(form)
})
test.each([
  ['de', 'fahrradkette wechseln', 'task'],
  ['de', 'kette springt', 'fault'],
  ['de', 'wie wechselt man eine kette', 'way'],
  ['de', 'fahrradkette', 'thing'],
  ['es', 'cómo cambiar una cadena', 'way'],
  ['es', 'por qué salta la cadena', 'reason'],
  ['sv', 'byta kedja', 'thing'],
])('in %s “%s” is a %s', (language, phrase, form) => {
  expect(formOf(phrase, language)).toBe(form)
})

describe('two phrases in one', () => {
  test.each([
    ['clean a chain', 'wax a chain', 'clean and wax a chain'],
    ['how to index a rear derailleur', 'adjust rear derailleur', 'how to index and adjust a rear derailleur'],
    ['clean bike chain', 'clean cassette', 'clean bike chain and cassette'],
  ])('%s + %s', (lead, support, folded) => {
    expect(foldPhrases(lead, support, 'en')).toBe(folded)
  })
  test('nothing shared, nothing different, or no word for “and”', () => {
    expect(foldPhrases('clean a chain', 'true a wheel', 'en')).toBeNull()
    expect(foldPhrases('clean a chain', 'clean the chain', 'en')).toBeNull()
    expect(foldPhrases('byta kedja', 'olja kedja', 'sv')).toBeNull()
    expect(foldPhrases('', 'clean', 'en')).toBeNull()
    // “and service near” would say nothing.
    expect(foldPhrases('bike repair marrowby', 'bike service near me', 'en')).toBeNull()
  })
  test('in other languages', () => {
    expect(foldPhrases('kette reinigen', 'kette ölen', 'de')).toBe('kette reinigen und ölen')
    expect(foldPhrases('kette wechseln fahrrad', 'kette ölen', 'de')).toBeNull()
    expect(foldPhrases('limpiar cadena', 'engrasar cadena', 'es')).toBe('limpiar y engrasar cadena')
  })
})

describe('closeness', () => {
  const close = (a: string, b: string) => closeness(stemsOf(a, 'en'), stemsOf(b, 'en'))
  test('goes by content words and their stems', () => {
    expect(close('How to clean a chain', 'Cleaning chains')).toBe(1)
    expect(close('Clean a chain', 'True a wheel')).toBe(0)
    expect(close('clean chain wax', 'clean chain oil')).toBeCloseTo(2 / 4)
    expect(close('', '')).toBe(0)
  })
  test('finds the closest of a page, or none', () => {
    const closest = closestAmong(['True a wheel', 'Chain care: wax or oil', 'Clean chain'], 'en')
    expect(closest('How to clean a chain')).toEqual({ title: 'Clean chain', closeness: 1 })
    expect(closest('Zebra')).toBeNull()
    expect(closestAmong([], 'en')('Clean chain')).toBeNull()
  })
})

describe('ideas', () => {
  test('thirty different ones for a brief, each within the limit, by kinds of pattern', () => {
    const ideas = titleIdeas(question())
    expect(ideas).toHaveLength(30)
    expect(new Set(ideas.map(idea => idea.title)).size).toBe(30)
    expect(new Set(ideas.map(idea => idea.pattern)).size).toBeGreaterThanOrEqual(8)
    for (const { title, points, outOf } of ideas) {
      expect([...title].length).toBeLessThanOrEqual(100)
      expect(title).not.toMatch(/\{|\}|undefined|[<>]|\s{2}|derailer\b/u)
      expect(points).toBeLessThanOrEqual(outOf)
    }
    // Points and variety: the first ones differ more than the last.
    expect(new Set(ideas.slice(0, 6).map(idea => idea.pattern)).size).toBeGreaterThanOrEqual(4)
  })
  test('thirty from the lead alone as well, whatever its form, in three languages', () => {
    for (const [language, leads] of [
      [
        'en',
        ['clean bike chain', 'why is my chain skipping', 'best bike lights', 'bike chain', 'disc brake vs rim brake'],
      ],
      ['de', ['fahrradkette wechseln', 'kette springt', 'fahrradkette']],
      ['es', ['cómo cambiar una cadena', 'por qué salta la cadena', 'cadena']],
    ] as const)
      for (const lead of leads)
        expect([lead, titleIdeas(question({ language, phrases: { lead, support: [] } })).length]).toEqual([lead, 30])
  })
  test('the same seed gives the same ones, another one others', () => {
    const titles = (seed: number) => titleIdeas(question({ seed })).map(idea => idea.title)
    expect(titles(4)).toEqual(titles(4))
    expect(titles(5)).not.toEqual(titles(4))
  })
  test('none is nearly a title of the page, and each names the closest one', () => {
    const pageTitles = titleIdeas(question()).map(idea => idea.title)
    const ideas = titleIdeas(question({ pageTitles, seed: 1 }))
    for (const { closest } of ideas) {
      expect(pageTitles).toContain(closest!.title)
      expect(closest!.closeness).toBeLessThan(0.8)
    }
    expect(ideas.map(idea => idea.title)).not.toContain(pageTitles[0])
  })
  test('a set that wants the phrase alone gets it alone, the long set something else', () => {
    const exact = titleIdeas(question({ ruleSet: EXACT_LINE, pageTitles: ['How to index a rear derailleur'] }))
    expect(exact.length).toBeLessThan(5)
    expect(exact[0]!.title).toBe('How to index a rear derailleur')
    const long = titleIdeas(question({ ruleSet: FULL_WIDTH }))
    expect([...long[0]!.title].length).toBeGreaterThanOrEqual(75)
    expect(long[0]!.title).not.toBe(exact[0]!.title)
  })
  test('nothing that was not given is put in', () => {
    const bare = titleIdeas(question({ year: undefined, brand: undefined }))
    expect(bare.some(idea => /20\d\d|Marrowby/u.test(idea.title))).toBe(false)
    expect(titleIdeas(question({ phrases: { lead: ' ', support: ['chain'] } }))).toEqual([])
  })
  test('places and the English “I” keep their capitals, Spanish questions open', () => {
    expect(titleStart('bike repair marrowby', 'en', new Set(['marrowby']))).toBe('Bike repair Marrowby')
    expect(titleStart('how do i clean a chain', 'en')).toBe('How do I clean a chain')
    const spanish = titleIdeas(question({ language: 'es', phrases: { lead: 'por qué salta la cadena', support: [] } }))
    for (const { title } of spanish) expect(title).toMatch(/^¿/u)
  })
  test('German nouns are written as the page writes them', () => {
    const ask = (pageTitles: string[]) =>
      titleIdeas(
        question({ language: 'de', phrases: { lead: 'warum knackt mein tretlager', support: [] }, pageTitles }),
      )[0]!.title
    expect(ask(['Das Tretlager wechseln', 'Wenn ein Tretlager knackt'])).toContain('Warum knackt mein Tretlager?')
    expect(ask([])).toContain('tretlager')
  })
  test('whatever the phrases are, no idea breaks a limit or is empty', () => {
    fc.assert(
      fc.property(
        fc.string({ maxLength: 140 }),
        fc.array(fc.string({ maxLength: 60 }), { maxLength: 5 }),
        (lead, support) => {
          for (const { title } of titleIdeas(question({ phrases: { lead, support } }))) {
            if (!title.trim() || [...title].length > 100) return false
          }
          return true
        },
      ),
      { numRuns: 200 },
    )
  })
})

test('patterns begin with the sign that joins them, in every language', () => {
  for (const language of ['en', 'de', 'es', 'pt', 'sv'])
    for (const { tails, forms } of patternsOf(language)) {
      expect(forms.length).toBeGreaterThan(0)
      for (const tail of tails) expect(tail).toMatch(/^(?:[:?,]? |\? )\S/u)
    }
})
