import { match, readPhrase, readText, runs, type Grade } from '../../../../core/text/match'
import { bare, fold, formOf, normaliseWord } from '../../../../core/text/words'

const grade = (phrase: string, text: string, language: string) =>
  match(readPhrase(phrase, language), readText(text, language)).grade

describe('what folding makes of letters', () => {
  test.each([
    ['Schön', 'schon'],
    ['ÁÉÍ', 'aei'],
    ['Łódź', 'lodz'],
    ['Đà', 'da'],
    ['smørrebrød', 'smorrebrod'],
    ['Straße', 'strasse'],
    ['ŒUVRE', 'oeuvre'],
    ['ёлка', 'елка'],
    ['ΚΑΛΆ', 'καλα'],
    // Vowel signs and voicing marks are letters of their own.
    ['मेल', 'मेल'],
    ['मिल', 'मिल'],
    ['バス', 'バス'],
    ['ハス', 'ハス'],
    ['ガス', 'ガス'],
    ['กิน', 'กิน'],
    ['שָׁלוֹם', 'שָׁלוֹם'],
    ['தமிழ்', 'தமிழ்'],
    // What only a decomposed or wide form parts is the same.
    ['ﾊﾞｽ', 'バス'],
    ['ｂｉｋｅ', 'bike'],
    ['cafe\u0301', 'cafe'],
  ])('%s is found as %s', (raw, norm) => {
    expect(normaliseWord(raw)).toBe(norm.normalize('NFC'))
  })

  test('no two of these are the same word', () => {
    const forms = ['मेल', 'मिल', 'バス', 'ハス', 'パス', 'กิน', 'กัน'].map(normaliseWord)
    expect(new Set(forms).size).toBe(forms.length)
  })
  test('an article elided before a word is not part of it', () => {
    expect(
      ["l'huile", 'l’olio', "dell'acqua", 'qu’il', "jusqu'ici", "L'École", 'D’Artagnan'].map(normaliseWord),
    ).toEqual(['huile', 'olio', 'acqua', 'il', 'ici', 'ecole', 'artagnan'])
    expect(["it's", "o'clock", "don't", "rock'n", "l'", "driver's"].map(each => bare(formOf(each)))).toEqual([
      "it's",
      "o'clock",
      "don't",
      "rock'n",
      "l'",
      "driver's",
    ])
  })
  test('capitals follow the language, never the machine', () => {
    expect([
      formOf('IŞIK', 'tr'),
      formOf('İstanbul', 'tr'),
      formOf('IŞIK', 'tr-TR'),
      formOf('IŞIK', 'az'),
      formOf('INDEX', 'en'),
      formOf('INDEX'),
    ]).toEqual(['ışık', 'istanbul', 'ışık', 'ışık', 'index', 'index'])
  })
  test('folding twice folds no more', () => {
    for (const each of ['ødemark', 'großer', 'ñu', 'й', 'ガ']) expect(fold(fold(each))).toBe(fold(each))
  })
})

describe('a phrase in a text', () => {
  test.each<[string, string, string, Grade]>([
    ['schöne fahrräder', 'Schöne Fahrräder für alle', 'de', 'exact'],
    ['schone fahrrader', 'Schöne Fahrräder für alle', 'de', 'inflected'],
    ['año nuevo', 'Feliz año nuevo', 'es', 'exact'],
    ['ano nuevo', 'Feliz año nuevo', 'es', 'inflected'],
    ['cambiar llantas', 'Cómo cambiar la llanta', 'es', 'ordered'],
    ['canción de cuna', 'Canciones de cuna para dormir', 'es', 'inflected'],
    ['huile moteur', 'Changer l’huile moteur soi-même', 'fr', 'exact'],
    ['vidange huile', 'La vidange d’huile expliquée', 'fr', 'inflected'],
    ["vidange d'huile", 'La vidange d’huile expliquée', 'fr', 'exact'],
    ['olio motore', "Cambiare l'olio motore", 'it', 'exact'],
    ['ışık ayarı', 'IŞIK AYARI nasıl yapılır', 'tr', 'exact'],
    ['istanbul turu', 'İSTANBUL TURU', 'tr', 'exact'],
    ['자전거 체인', '자전거를 타며 체인을 닦는 법', 'ko', 'ordered'],
    ['자전거 체인 청소', '자전거 체인의 청소', 'ko', 'inflected'],
    ['바퀴', '바퀴는 둥글다', 'ko', 'inflected'],
    ['バス', 'ハスの花', 'ja', 'none'],
    ['バス 時刻表', 'バス時刻表の見方', 'ja', 'exact'],
    ['मिल', 'मेल भेजें', 'hi', 'none'],
    ['хорошие велосипеды', 'Хороший велосипед', 'ru', 'inflected'],
  ])('%s in %j (%s): %s', (phrase, text, language, expected) => {
    expect(grade(phrase, text, language)).toBe(expected)
  })

  test('begins after the article elided before it', () => {
    const text = 'Changer l’huile moteur'
    const [range] = runs(readPhrase('huile moteur', 'fr'), readText(text, 'fr'), 'exact')
    expect(text.slice(range!.start, range!.end)).toBe('huile moteur')
    const whole = runs(readPhrase("l'huile moteur", 'fr'), readText(text, 'fr'), 'exact')
    expect(text.slice(whole[0]!.start, whole[0]!.end)).toBe('l’huile moteur')
  })
})
