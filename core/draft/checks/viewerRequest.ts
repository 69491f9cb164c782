import { primaryLanguage } from '../../text/stems'
import { textFix } from '../draft'
import { questionsOf } from '../questions'
import { viewerQuestion } from '../wording'
import { defineCheck, met, missing, notApplicable } from '../check'

/** Wordings by which a text asks its viewer for something; a question mark asks in any language. */
const REQUESTS: Record<string, RegExp> = {
  en: /\b(subscribe|comment|tell (?:me|us)|let (?:me|us) know|leave a|write (?:me|us)|ask (?:me|us)|send (?:me|us)|share (?:this|it|your)|follow (?:me|us)|sign up|join (?:me|us))\b/giu,
  de: /\b(?:(?:abonnier|kommentier|teil)\p{L}{0,12}|(?:schreib|sag)\p{L}{0,3} (?:mir|uns)\b)/giu,
  fr: /\b(abonnez|abonne|commentez|commente|partagez|dites)\b/giu,
  pt: /\b(?:subscrev|inscrev|coment[ae]|(?:com)?partilh)\p{L}{0,12}|\bconte\b/giu,
  ja: /(登録|コメント|教えて|シェア|ご覧)/gu,
  es: /\b(?:suscr[ií]b|comenta|comparte|cu[eé]nta)\p{L}{0,12}/giu,
}

/** The description asks the viewer for something: an answer, a subscription, a message. */
export const viewerRequest = defineCheck({
  id: 'viewer-request',
  version: 1,
  field: 'description',
  question: 'chosen',
  title: 'Call to action',
  why: 'Viewers comment and subscribe more often when asked.',
  needs: ['description'],
  settings: {},
  run: ({ draft, language }) => {
    const text = draft.description!
    if (!text.trim()) return notApplicable('Nothing written yet.')
    const pattern = REQUESTS[primaryLanguage(language)]
    const asked = pattern ? [...text.matchAll(pattern)] : []
    const found = asked.length
      ? asked.map(hit => ({ start: hit.index, end: hit.index + hit[0].length }))
      : questionsOf(text)
    if (found.length)
      return met('The description asks the viewer to do something.', {
        ranges: found.map(range => ({ field: 'description', ...range })),
      })
    if (!pattern) return notApplicable('Not checked in this language.')
    const question = viewerQuestion(language)
    return missing('The description asks nothing of the viewer. Ask a question, or ask them to subscribe.', {
      fixes: () =>
        question === null
          ? []
          : [textFix('Add a question at the end', 'description', text, `${text.trimEnd()}\n\n${question}`)],
    })
  },
})
