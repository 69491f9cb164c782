import { primaryLanguage } from '../../text/stems'
import { defineCheck, inField, met, missing, notApplicable } from '../check'

/** Words that say what kind of video it is, in lower case without accents. */
const FORMATS: Record<string, string> = {
  en: 'review reviewed tutorial tips guide lesson explained demo demonstration comparison compared test tested course basics checklist walkthrough introduction masterclass interview tour',
  de: 'test anleitung tipps ratgeber erklart vergleich kurs grundlagen checkliste vorstellung interview uberblick',
  es: 'resena tutorial consejos guia leccion explicado comparativa prueba curso repaso entrevista trucos',
  fr: 'test tutoriel tuto conseils guide lecon explique comparatif cours bases astuces',
}
const sets = new Map(Object.entries(FORMATS).map(([language, list]) => [language, new Set(list.split(' '))]))

/** The title names what kind of video it is: a review, a tutorial, tips. */
export const titleFormat = defineCheck({
  id: 'title-format',
  version: 1,
  field: 'title',
  question: 'chosen',
  title: 'Kind of video named in the title',
  why: 'Many searches end in a word such as tutorial, review or tips, and viewers look for it.',
  needs: ['title'],
  settings: {},
  run: ({ at, language }) => {
    const formats = sets.get(primaryLanguage(language))
    if (!formats) return notApplicable('Not checked in this language.')
    const { norms, starts, ends } = at('title')[0]!.text
    if (!norms.length) return notApplicable('Nothing written yet.')
    const found = norms.flatMap((norm, i) => (formats.has(norm) ? [{ start: starts[i]!, end: ends[i]! }] : []))
    if (found.length) return met('The title says what kind of video it is.', { ranges: inField('title', found) })
    return missing(`No word such as ${[...formats].slice(1, 4).join(', ')}. Add the one that fits.`)
  },
})
