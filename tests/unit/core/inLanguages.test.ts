import { cleanText } from '../../../core/captions/clean'
import { captionsOf } from '../../../core/captions/read'
import { spoken } from '../../../core/captions/spoken'
import { composeDescription } from '../../../core/descriptions/compose'
import { DEFAULT_PROFILE } from '../../../core/draft/limits'
import { BALANCED } from '../../../core/draft/ruleset'
import { scoreDraft } from '../../../core/draft/score'
import { match, readPhrase, readText } from '../../../core/text/match'
import { formOf } from '../../../core/titles/form'
import { titleIdeas } from '../../../core/titles/ideas'

/** A text written for each language, with what a person who reads it would say of it. */
const TEXTS = {
  es: {
    lead: 'cómo cambiar una cadena',
    form: 'way',
    title: 'Cómo cambiar una cadena de bicicleta en 10 minutos',
    description:
      'Cómo cambiar una cadena sin prisa: medir, cortar y cerrar.\n\n¿Cómo lo haces tú? Escríbelo en los comentarios.',
    tags: ['cómo cambiar una cadena', 'cadena de bicicleta', 'cambiar cadena'],
    inflected: ['cambiar cadenas', 'Hoy cambiamos la cadena del taller'],
    other: 'Inflar la rueda',
    said: 'Bueno, hoy vemos cómo cambiar una cadena. Primero medimos la cadena.',
  },
  de: {
    lead: 'fahrradkette wechseln',
    form: 'task',
    title: 'Fahrradkette wechseln in 10 Minuten: so geht es',
    description:
      'Fahrradkette wechseln ohne Eile: messen, kürzen, schließen.\n\nWie machst du es? Schreib es in die Kommentare.',
    tags: ['fahrradkette wechseln', 'fahrradkette', 'kette wechseln'],
    inflected: ['ketten wechseln', 'Eine alte Kette wechseln'],
    other: 'Reifen flicken',
    said: 'Also, heute wollen wir die Fahrradkette wechseln. Zuerst messen wir die Kette.',
  },
  pt: {
    lead: 'como trocar a corrente',
    form: 'way',
    title: 'Como trocar a corrente da bicicleta em 10 minutos',
    description:
      'Como trocar a corrente sem pressa: medir, cortar e fechar.\n\nComo é que faz? Escreva nos comentários.',
    tags: ['como trocar a corrente', 'corrente da bicicleta', 'trocar corrente'],
    inflected: ['trocar correntes', 'Hoje trocamos a corrente'],
    other: 'Encher o pneu',
    said: 'Então, hoje vemos como trocar a corrente. Primeiro medimos a corrente.',
  },
  fr: {
    lead: 'comment changer une chaîne',
    form: 'way',
    title: 'Comment changer une chaîne de vélo en 10 minutes',
    description:
      'Comment changer une chaîne sans se presser\u202f: mesurer, couper, fermer.\n\nComment faites-vous\u202f? Écrivez-le dans les commentaires.',
    tags: ['comment changer une chaîne', 'chaîne de vélo', 'changer chaîne'],
    inflected: ['changer chaînes', 'Il faut changer la chaîne de l’atelier'],
    other: 'Gonfler un pneu',
    said: 'Alors, aujourd’hui on voit comment changer une chaîne. D’abord on mesure la chaîne.',
  },
  ja: {
    lead: '自転車のチェーン交換方法',
    form: 'way',
    title: '自転車のチェーン交換方法：10分でわかる',
    description: '自転車のチェーン交換方法を順番に見ていきます。\n\nあなたのやり方をコメントで教えてください。',
    tags: ['自転車のチェーン交換方法', 'チェーン交換', '自転車'],
    // No endings are cut: the words are found as they stand.
    inflected: ['チェーン交換', '今日は自転車のチェーン交換をします'],
    other: 'タイヤの空気',
    said: '今日は自転車のチェーン交換方法を見ていきます。まずチェーンを測ります。',
  },
} as const
const LANGUAGES = Object.entries(TEXTS) as [keyof typeof TEXTS, (typeof TEXTS)[keyof typeof TEXTS]][]

describe.each(LANGUAGES)('in %s', (language, text) => {
  const { lead, title, description, tags } = text
  const grade = (phrase: string, of: string) => match(readPhrase(phrase, language), readText(of, language)).grade

  test('words are found in other forms, and not where they do not stand', () => {
    expect(grade(lead, title)).toBe('exact')
    expect(['exact', 'inflected', 'ordered']).toContain(grade(text.inflected[0], text.inflected[1]))
    expect(grade(lead, text.other)).toBe('none')
  })

  test('a good text is told from one that misses its phrase', () => {
    const score = (draft: { title: string; description: string; tags: readonly string[] }) =>
      scoreDraft({ ...draft, tags: [...draft.tags] }, { lead, support: [] }, BALANCED, DEFAULT_PROFILE, language)
    const good = score({ title, description, tags })
    const state = (id: string) => good.checks.find(check => check.id === id)!.state
    expect(['title-lead', 'title-front', 'description-begin', 'tag-lead'].map(state)).toEqual(Array(4).fill('met'))
    expect(score({ title: text.other, description: '', tags: [text.other] }).percent!).toBeLessThan(good.percent! - 30)
  })

  test('titles are composed that fit, each with the phrase', () => {
    expect(formOf(lead, language)).toBe(text.form)
    const ideas = titleIdeas({
      phrases: { lead, support: [] },
      language,
      ruleSet: BALANCED,
      profile: DEFAULT_PROFILE,
      pageTitles: [],
      places: new Set(),
      year: 2026,
      seed: 1,
      count: 20,
    })
    expect(ideas.length).toBeGreaterThanOrEqual(language === 'ja' ? 8 : 20)
    for (const idea of ideas) {
      expect([idea.title, grade(lead, idea.title)]).toEqual([idea.title, expect.stringMatching(/exact|inflected/u)])
      expect(idea.title).not.toMatch(/[{}]|undefined/u)
    }
  })

  test('a first draft of the description is in its language', () => {
    const composed = composeDescription({
      phrases: { lead, support: [] },
      language,
      profile: DEFAULT_PROFILE,
      length: 'long',
      seed: 1,
      places: new Set(),
    })
    expect(composed.description).not.toMatch(/\b(?:the|this video|comments|Links:|What)\b/u)
    expect(grade(lead, composed.description.split('\n')[0]!)).toBe('exact')
  })

  test('what is spoken is found and cleaned', async () => {
    const captions = await captionsOf(text.said)
    expect(spoken(captions, [lead], language)[0]).toMatchObject({ count: 1 })
    expect(cleanText(captions, { language }).text).toContain(text.said.slice(-6))
  })
})

test('right-to-left text keeps its words, and its offsets lead back into it', () => {
  const text = 'كيفية تغيير سلسلة الدراجة خطوة بخطوة'
  const found = match(readPhrase('تغيير سلسلة', 'ar'), readText(text, 'ar'))
  expect(found.grade).toBe('exact')
  expect(text.slice(found.ranges[0]!.start, found.ranges[0]!.end)).toBe('تغيير سلسلة')
})
