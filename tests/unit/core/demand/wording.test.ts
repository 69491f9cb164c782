import { CROSS_TEMPLATES, crossPlaces } from '../../../../core/demand/cross'
import { PlaceNames } from '../../../../core/demand/placeNames'
import { intentOf, isQuestion } from '../../../../core/demand/intent'
import { addedWords, longerPhrases } from '../../../../core/demand/lengthen'
import { meanings } from '../../../../core/demand/meanings'

describe('intent', () => {
  test.each([
    ['how to clean bike chain', 'do'],
    ['bike chain explained', 'learn'],
    ['cheap bike chain', 'buy'],
    ['bike chain vs belt', 'compare'],
    ['mobile bike repair', 'hire'],
    ['bike shop near me', 'near'],
  ])('%s: %s', (phrase, intent) => {
    expect(intentOf(phrase)).toMatchObject({ intent, from: 'wording' })
  })

  test('a town makes it local', () => {
    const places = new PlaceNames(['Marrowby', 'St. Elm', 'St. Elm on Sea', '?'])
    expect(intentOf('bike repair marrowby', places)).toMatchObject({ intent: 'near', cues: ['marrowby'] })
    expect(intentOf('st elm bike repair', places)).toMatchObject({
      intent: 'near',
      cues: expect.arrayContaining(['st elm']),
    })
    expect(intentOf('bike st elm on sea', places)).toMatchObject({ intent: 'near', cues: ['st elm on sea'] })
    expect(intentOf('st bike', places)).toBeNull()
  })

  test('silent wording leaves it to the results, if enough of them agree', () => {
    expect(intentOf('bike chain')).toBeNull()
    expect(intentOf('bike chain', undefined, ['How to fix a chain', 'Replace a chain', 'Chain gossip'])).toMatchObject({
      intent: 'do',
      from: 'results',
    })
    expect(
      intentOf('bike chain', undefined, ['How to fix a chain', 'Gossip', 'Gossip again', 'More of it', 'And more']),
    ).toBeNull()
  })

  test('questions are told by their first word', () => {
    expect(['how to true a wheel', 'Wie geht das', 'brakes?'].every(isQuestion)).toBe(true)
    expect(['bike how', 'chain', ''].some(isQuestion)).toBe(false)
  })
})

describe('longer phrases', () => {
  test('what a longer phrase adds', () => {
    expect(addedWords('how to clean bike chain', 'bike chain')).toBe('how to clean')
    expect(addedWords('bike-chain oil', 'bike chain')).toBe('oil')
    expect(addedWords('best bike chain for rain', 'bike chain')).toBe('best … for rain')
    expect(addedWords('bike gold chain', 'bike chain')).toBeNull()
    expect(addedWords('bike chain', 'bike chain')).toBeNull()
  })

  test('known ones first, then modifiers and places, none twice and none that says it already', () => {
    const found = longerPhrases(
      'how to clean bike chain',
      ['how to clean bike chain at home', 'gold chain'],
      ['Marrowby', 'Chain'],
    )
    expect(found[0]).toEqual({ phrase: 'how to clean bike chain at home', added: 'at home', from: 'known' })
    expect(found.filter(each => each.phrase.endsWith('at home'))).toHaveLength(1)
    expect(found.some(each => each.phrase.startsWith('how to how'))).toBe(false)
    expect(found.some(each => /^best way/u.test(each.phrase))).toBe(false)
    expect(found.filter(each => each.from === 'place')).toEqual([
      { phrase: 'how to clean bike chain marrowby', added: 'Marrowby', from: 'place' },
    ])
  })
})

describe('crossing phrases with places', () => {
  test('every template for every pair, once', () => {
    const found = crossPlaces(['bike repair', 'bike hire'], ['Marrowby', 'Dunmere'], CROSS_TEMPLATES.slice(0, 2))
    expect(found.map(each => each.phrase)).toEqual([
      'bike repair marrowby',
      'bike repair in marrowby',
      'bike repair dunmere',
      'bike repair in dunmere',
      'bike hire marrowby',
      'bike hire in marrowby',
      'bike hire dunmere',
      'bike hire in dunmere',
    ])
  })
  test('a name with a dollar sign is taken as it is', () => {
    expect(crossPlaces(['$& repair'], ['Mar$1'], ['{phrase} {place}'])[0]!.phrase).toBe('$& repair mar$1')
  })
  test('says what is wrong', () => {
    expect(() => crossPlaces(['a'], ['b'], ['{phrase}'])).toThrow('{place}')
    expect(() =>
      crossPlaces(new Array<string>(200).fill('a'), new Array<string>(200).fill('b'), ['{phrase} {place}']),
    ).toThrow('20,000 is the most')
  })
})

describe('other meanings', () => {
  const video = (id: string, title: string, tags: string[], channel = `of ${id}`) => ({ id, channel, title, tags })
  const bikes = Array.from({ length: 8 }, (_, i) =>
    video(`b${i}`, `Clean a chain on your bike, part ${'abcdefgh'[i]}`, ['bicycle', 'bike chain', 'drivetrain']),
  )
  const gold = Array.from({ length: 5 }, (_, i) =>
    video(`g${i}`, `Polish a gold chain necklace ${'abcde'[i]}`, ['jewellery', 'gold', 'necklace']),
  )
  test('two trades under one word are told apart and named', () => {
    const found = meanings('chain', [...bikes, ...gold], 'en')
    expect(found.map(each => each.ids.length)).toEqual([8, 5])
    expect(found[0]!.ids.every(id => id.startsWith('b'))).toBe(true)
    expect(found[0]!.name).toContain('bike')
    expect(found[1]!.name.some(word => ['gold', 'necklace', 'jewellery', 'jewelry'].includes(word))).toBe(true)
  })
  test('results of one trade are one meaning, whatever their fashions of wording', () => {
    const fashions = ['complete guide', 'rainy sunday', 'three mistakes']
    const one = fashions.flatMap((fashion, f) =>
      Array.from({ length: 6 }, (_, i) =>
        // One of each fashion uses another's words, too.
        video(`${f}${i}`, `Chain: ${fashion}${i ? '' : `, ${fashions[(f + 1) % 3]!}`}`, ['bicycle', fashion]),
      ),
    )
    expect(meanings('chain', one, 'en')).toHaveLength(1)
  })
  test('who publishes for both speaks of one trade', () => {
    const own = gold.map((each, i) => (i ? each : { ...each, channel: bikes[0]!.channel }))
    expect(meanings('chain', [...bikes, ...own], 'en')).toHaveLength(1)
  })
  test('a stray result is no meaning, and nothing gives none', () => {
    expect(meanings('chain', [...bikes, gold[0]!], 'en')).toHaveLength(1)
    expect(meanings('chain', [], 'en')).toEqual([])
  })
})

describe('what a searcher wants, in other languages', () => {
  test.each([
    ['de', 'fahrradkette reinigen', 'do'],
    ['de', 'wie wechselt man einen schlauch', 'do'],
    ['de', 'scheibenbremse test', 'compare'],
    ['de', 'fahrradwerkstatt in der nähe', 'near'],
    ['de', 'e-bike günstig kaufen', 'buy'],
    ['de', 'was ist ein schaltauge', 'learn'],
    ['es', 'cómo limpiar cadena de bicicleta', 'do'],
    ['es', 'precio cadena bicicleta', 'buy'],
    ['es', 'taller de bicicletas cerca de mí', 'near'],
    ['es', 'diferencia entre cámara y tubular', 'compare'],
    ['pt', 'como trocar corrente de bicicleta', 'do'],
    ['pt', 'o que é câmbio traseiro', 'learn'],
    ['fr', 'comment régler un dérailleur', 'do'],
    ['fr', 'prix chaîne vélo pas cher', 'buy'],
    ['fr', "qu'est-ce que le faux-rond", 'learn'],
    ['fr', 'réparateur vélo à domicile', 'hire'],
    ['ja', '自転車 チェーン 掃除 方法', 'do'],
    ['ja', '自転車チェーンの値段', 'buy'],
    ['ja', 'ディレイラーとは', 'learn'],
    ['en-GB', 'how to clean bike chain', 'do'],
  ])('%s: %s wants to %s', (language, phrase, intent) => {
    expect(intentOf(phrase, undefined, [], language)?.intent).toBe(intent)
  })
  test('words of one language tell nothing in another', () => {
    expect(intentOf('brake test', undefined, [], 'en')).toBeNull()
    expect(intentOf('chaîne en or', undefined, [], 'fr')).toBeNull()
    expect(intentOf('gold or silver', undefined, [], 'en')?.intent).toBe('compare')
  })
  test('titles tell it in the language too', () => {
    const titles = ['Kette kaufen', 'Günstig kaufen', 'Der Preis der Kette', 'Kette']
    expect(intentOf('fahrradkette', undefined, titles, 'de')).toMatchObject({ intent: 'buy', from: 'results' })
    expect(intentOf('fahrradkette', undefined, titles, 'en')).toBeNull()
  })
})
