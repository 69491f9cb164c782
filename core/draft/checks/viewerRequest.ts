import { primaryLanguage } from '../../text/stems'
import { defineCheck, met, missing, notApplicable } from '../check'

/** Wordings by which a text asks its viewer for something; a question mark asks in any language. */
const REQUESTS: Record<string, RegExp> = {
  en: /\b(subscribe|comment|tell (?:me|us)|let (?:me|us) know|leave a|write (?:me|us)|ask (?:me|us)|send (?:me|us)|share (?:this|it|your)|follow (?:me|us)|sign up|join (?:me|us))\b/giu,
  de: /\b(abonnier\w*|kommentier\w*|schreib\w* (?:mir|uns)|sag\w* (?:mir|uns)|teil\w*)\b/giu,
  fr: /\b(abonnez|abonne|commentez|commente|partagez|dites)\b/giu,
  es: /\b(suscr[ií]b\w*|comenta\w*|comparte\w*|cu[eé]nta\w*)\b/giu,
}

/** The description asks the viewer for something: an answer, a subscription, a message. */
export const viewerRequest = defineCheck({
  id: 'viewer-request',
  version: 1,
  field: 'description',
  question: 'chosen',
  title: 'A request to the viewer',
  why: 'People comment and subscribe more often when they are asked.',
  needs: ['description'],
  settings: {},
  run: ({ draft, language }) => {
    const text = draft.description!
    if (!text.trim()) return notApplicable('Nothing written yet.')
    const pattern = REQUESTS[primaryLanguage(language)]
    const asked = pattern ? [...text.matchAll(pattern)] : []
    const questions = asked.length ? [] : [...text.matchAll(/[^.!?\n]{8,}[?？]/gu)]
    const found = [...asked, ...questions]
    if (found.length) return met('Asks the viewer for something.', { ranges: found.map(hit => ({ field: 'description', start: hit.index, end: hit.index + hit[0].length })) })
    if (!pattern) return notApplicable('Requests are not known for this language.')
    return missing('Asks the viewer for nothing. Put a question, or ask for a subscription.', {
      fixes: primaryLanguage(language) === 'en' ? [{ label: 'Add a question at the end', field: 'description', value: `${text.trimEnd()}\n\nWhat gave you the most trouble? Tell us in the comments.` }] : [],
    })
  },
})
