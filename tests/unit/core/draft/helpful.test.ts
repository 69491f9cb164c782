import fc from 'fast-check'
import { NO_CONTEXT } from '../../../../core/draft/context'
import { fixed, type Draft } from '../../../../core/draft/draft'
import { withHelpfulFixes } from '../../../../core/draft/helpful'
import { DEFAULT_PROFILE } from '../../../../core/draft/limits'
import { BALANCED, RULE_SETS, type RuleSet } from '../../../../core/draft/ruleset'
import { scoreDraft } from '../../../../core/draft/score'
import { runs } from '../../../setup/runs'

interface Asked {
  lead?: string
  support?: string[]
  set?: RuleSet
  language?: string
  standing?: string[]
}
const score = (draft: Draft, { lead = '', support = [], set = BALANCED, language = 'en', standing = [] }: Asked) => {
  const phrases = { lead, support }
  const context = { ...NO_CONTEXT, standing }
  return withHelpfulFixes(
    scoreDraft(draft, phrases, set, DEFAULT_PROFILE, language, context),
    draft,
    phrases,
    set,
    DEFAULT_PROFILE,
    language,
    context,
  )
}
/** Every value that an offered fix would make of a field. */
const offers = (draft: Draft, asked: Asked) =>
  score(draft, asked).checks.flatMap(check =>
    check.fixes.map(fix => ({ check: check.id, label: fix.label, value: fixed(draft, fix) })),
  )
const valuesOf = (id: string, draft: Draft, asked: Asked) =>
  offers(draft, asked)
    .filter(each => each.check === id)
    .map(each => each.value)

describe('a fix is offered as it should be', () => {
  test.each<[string, string, string, string, string | null]>([
    ['no bars are left', 'Repair | Bike chains | Beginners', 'bike chain', 'en', 'Bike chain: Repair | Beginners'],
    [
      'no empty brackets are left',
      'Slipping? (bike chains) Mend it',
      'bike chain',
      'en',
      'Bike chain: Slipping? Mend it',
    ],
    ['no signs of a sentence that is gone', '¿Cambiar llantas? En diez minutos', 'cambiar llantas', 'es', null],
    ['words that are there are not said again', 'A chain for any bike', 'bike chain', 'en', null],
    ['capitals by the language', 'Nasıl yapılır', 'ışık ayarı', 'tr', 'Işık ayarı: Nasıl yapılır'],
    ['i with its dot', 'Gezi rehberi', 'istanbul turu', 'tr', 'İstanbul turu: Gezi rehberi'],
  ])('title, %s', (_, title, lead, language, value) => {
    expect(
      valuesOf('title-lead', { title }, { lead, language }).concat(
        valuesOf('title-front', { title }, { lead, language }),
      )[0] ?? null,
    ).toBe(value)
  })

  test('what is written in capitals everywhere, and nouns where nouns have them, keep them', () => {
    const shouted = (title: string, description: string, language = 'en') =>
      valuesOf('title-spoken', { title, description }, { language })[0]
    expect(shouted('CLEAN your BIKE with WD40 and PTFE spray', 'PTFE spray keeps a bike clean.')).toBe(
      'Clean your bike with WD40 and PTFE spray',
    )
    expect(shouted('REPARIEREN mit der KETTE', 'Die Kette reparieren.', 'de')).toBe('Reparieren mit der Kette')
    expect(shouted('SCHNELL mit der SCHALTUNG', 'Es geht leicht.', 'de')).toBeUndefined()
  })

  test('a beginning goes on a line of its own before a chapter, a link or hashtags', () => {
    const lead = 'bike chain'
    for (const first of [
      '0:00 Start\n1:00 Middle\n2:00 End',
      'https://wheelshed.example/a?b=c',
      '#repair today',
      '- a list',
    ]) {
      expect(valuesOf('description-begin', { description: first }, { lead })).toEqual([`Bike chain.\n\n${first}`])
    }
    expect(valuesOf('description-begin', { description: 'We look at rust.' }, { lead })).toEqual([
      'Bike chain: We look at rust.',
    ])
    expect(valuesOf('description-begin', { description: 'Chain of a bike: rust.' }, { lead })).toEqual([])
  })

  test('a standing block brings its own link, and no other fix does', () => {
    const standing = ['Tools: https://wheelshed.example/tools']
    expect(valuesOf('standing-lines', { description: 'We look at rust.' }, { standing })).toEqual([
      'We look at rust.\n\nTools: https://wheelshed.example/tools',
    ])
  })

  test('nothing is pushed over a limit', () => {
    const description = `You ${'a'.repeat(4990)}`
    expect(
      offers({ description }, { lead: 'bike chain', support: ['flat tyre'] }).filter(
        each => (each.value as string).length > 5000,
      ),
    ).toEqual([])
  })

  test('a sentence without a space after it is no link, and a link’s question mark asks nobody', () => {
    expect(
      offers({ description: 'Take off the wheel.In the shop you see it.' }, {}).filter(
        each => each.check === 'link-scheme',
      ),
    ).toEqual([])
    const asked = score({ description: 'All parts at https://wheelshed.example/list?page=2 and more' }, {}).checks.find(
      each => each.id === 'viewer-request',
    )!
    expect(asked.state).toBe('missing')
  })

  test('a sentence that is put in is in the text’s language, and none where we have no words', () => {
    const told = (language: string) =>
      valuesOf('support-told', { description: 'Hier steht etwas.' }, { support: ['kette ölen'], language })[0]
    expect([told('de-AT'), told('fr'), told('xx')]).toEqual([
      'Hier steht etwas.\n\nAußerdem in diesem Video: kette ölen.',
      'Hier steht etwas.\n\nÉgalement dans cette vidéo : kette ölen.',
      undefined,
    ])
  })

  test('refused signs go with the markup they make, and a comparison keeps its words apart', () => {
    expect(valuesOf('title-signs', { title: 'Set it <b>properly</b>' }, {})).toEqual(['Set it properly'])
    expect(valuesOf('title-signs', { title: 'Torque<5 is loose' }, {})).toEqual(['Torque 5 is loose'])
  })
})

describe('in five languages, over thousands of drafts', () => {
  const LANGUAGES = {
    en: ['bike chain', 'flat tyre', 'fix', 'the', 'wheel', 'WD40', 'squeaky brakes', 'you learn'],
    de: ['fahrrad kette', 'Kette ölen', 'Reifen', 'ohne', 'die', 'SCHALTUNG', 'größe', 'du lernst'],
    fr: ['vidange d’huile', 'l’huile', 'chaîne', 'le', 'vélo', 'FREIN', 'régler', 'vous apprenez'],
    es: ['cambiar llantas', '¿cómo cambiar?', 'año', 'rueda', 'BICI', '¡rápido!', 'sin'],
    ja: ['チェーン', '自転車 修理', 'ブレーキ', '方法', 'バス', '「掃除」'],
  } as const
  const joints = fc.constantFrom(
    ' ',
    ' ',
    ' ',
    ', ',
    ' | ',
    ': ',
    ' - ',
    ' (',
    ') ',
    '! ',
    '? ',
    '!! ',
    ' “',
    '” ',
    ' "',
    ' – ',
    '',
  )
  const draftOf = (words: readonly string[]) => {
    const word = fc.oneof(
      { weight: 5, arbitrary: fc.constantFrom(...words) },
      { weight: 1, arbitrary: fc.constantFrom(...words).map(each => each.toUpperCase()) },
      { weight: 1, arbitrary: fc.constantFrom('<b>', '</b>', '2026', '🚲', 'e-bike', '-') },
    )
    const line = fc
      .array(fc.tuple(word, joints), { minLength: 1, maxLength: 9 })
      .map(parts => parts.flat().join('').trim())
    const block = fc.oneof(
      { weight: 5, arbitrary: line },
      {
        weight: 2,
        arbitrary: fc.constantFrom(
          '0:00 Start\n0:40 Middle\n1:20 End',
          'https://wheelshed.example/a?b=c',
          'wheelshed.com/gears',
          '#bike #Kette',
          'See www.wheelshed.example today.',
          'the wheel.In the shop',
          '- one\n- two',
          '',
        ),
      },
    )
    return fc.record({
      title: fc.oneof({ weight: 6, arbitrary: line }, { weight: 1, arbitrary: line.map(each => `${each} `.repeat(6)) }),
      description: fc.oneof(
        { weight: 60, arbitrary: fc.array(block, { maxLength: 6 }).map(lines => lines.join('\n')) },
        { weight: 1, arbitrary: line.map(each => `${each}\n`.repeat(300).slice(0, 4990)) },
      ),
      tags: fc.array(fc.constantFrom(...words, 'unrelated thing', ''), { maxLength: 8 }),
    })
  }
  const links = (text: string) =>
    (text.match(/(?:https?:\/\/|www\.)?[a-z]+\.(?:example|com)\S*/gu) ?? [])
      .map(each => each.replace(/^https?:\/\//u, ''))
      .sort()
  const chapters = (text: string) => text.match(/^\d+:\d\d .*$/gmu) ?? []
  const hashtags = (text: string): string[] => [...(text.match(/(?<![\w/&#])#\p{L}+/gu) ?? [])].sort()
  const open = (text: string, a: string, b: string) => Math.abs(text.split(a).length - text.split(b).length)

  test.each(Object.entries(LANGUAGES))('%s', (language, words) => {
    let offered = 0
    fc.assert(
      fc.property(
        draftOf(words),
        fc.constantFrom(...words),
        fc.uniqueArray(fc.constantFrom(...words), { maxLength: 3 }),
        fc.constantFrom(...RULE_SETS),
        (draft, lead, support, set) => {
          const before = score(draft, { lead, support, set, language })
          const wrong: string[] = []
          const fixes = before.checks.flatMap(check => check.fixes.map(fix => ({ id: check.id, fix })))
          for (const [i, { id, fix }] of fixes.entries()) {
            offered++
            const value = fixed(draft, fix)
            const after = scoreDraft(
              { ...draft, [fix.field]: value },
              { lead, support },
              set,
              DEFAULT_PROFILE,
              language,
            )
            const holds = (is: boolean, what: string) => {
              if (!is) wrong.push(`${fix.label}, ${what}: ${JSON.stringify(value)}`)
            }
            holds(after.points > before.points, 'no more points')
            // To look at one of each draft is enough: it takes as long as all the rest.
            if (i === offered % fixes.length && language === 'en') {
              const once = score({ ...draft, [fix.field]: value }, { lead, support, set, language })
              const again = once.checks.find(check => check.id === id)!.fixes
              holds(!again.some(each => each.label === fix.label), `offered again by ${id}`)
            }
            holds(!/[\ud800-\udbff](?![\udc00-\udfff])/u.test(String(value)), 'half a character')
            if (typeof value !== 'string') {
              holds(value.join().length <= 500, 'limit')
              continue
            }
            const old = draft[fix.field as 'title' | 'description']
            const size = (text: string) =>
              fix.field === 'title' ? [...text].length : new TextEncoder().encode(text).length
            holds(size(value) <= Math.max(fix.field === 'title' ? 100 : 5000, size(old)), 'limit')
            holds(String(links(value)) === String(links(old)), 'links')
            holds(chapters(value).join() === chapters(old).join(), 'chapters')
            holds(
              hashtags(old).every(tag => hashtags(value).includes(tag)),
              'hashtags',
            )
            const curled = (text: string) => (text.match(/[“”]/gu) ?? []).length % 2
            holds(curled(value) <= curled(old), 'quotation marks')
            for (const [a, b] of [
              ['(', ')'],
              ['「', '」'],
              ['¿', '?'],
              ['¡', '!'],
            ] as const)
              holds(open(value, a, b) <= open(old, a, b), `${a}${b}`)
            for (const left of [/\|\s*\|/gu, /\(\s*\)/gu, /:\s*,/gu, /\bb[a-z]+\/b\b/gu])
              holds((value.match(left) ?? []).length <= (old.match(left) ?? []).length, left.source)
          }
          expect(wrong).toEqual([])
        },
      ),
      { numRuns: runs(300) },
    )
    // A filter that lets nothing through would hold all of this.
    expect(offered).toBeGreaterThan(300)
  })
})
