import { primaryLanguage } from '../../text/stems'
import { words } from '../../text/words'
import { defineCheck, met, missing, notApplicable, partly } from '../check'
import type { Fix } from '../draft'
import { linksOf } from '../links'
import { firstLineOf } from '../places'

/** Words by which a line speaks of what the viewer gets. */
const BENEFIT: Record<string, string[]> = {
  en: ['you', 'your', 'yours', 'learn', 'fix', 'get', 'save', 'stop', 'without', 'make', 'find', 'know', 'see', 'avoid', 'how'],
  de: ['du', 'dein', 'deine', 'ihr', 'lernen', 'lernst', 'ohne', 'wie', 'sparen', 'so'],
  fr: ['vous', 'votre', 'tu', 'ton', 'apprenez', 'sans', 'comment'],
  es: ['tu', 'tus', 'aprende', 'sin', 'como', 'consigue'],
}

/** What the description begins with: what the viewer gets, or the link, by rule set. */
export const descriptionFirst = defineCheck({
  id: 'description-first',
  version: 1,
  field: 'description',
  question: 'chosen',
  title: 'What the description begins with',
  why: 'Benefits first keep the reader; a link first is clicked by those who came to buy. The rule set says which.',
  needs: ['description'],
  settings: { first: 'benefit' as 'benefit' | 'link' },
  run: ({ draft, settings, language }) => {
    const text = draft.description!
    const line = firstLineOf(text)
    if (!line.text) return notApplicable('Nothing written yet.')
    const links = linksOf(text)
    const here = links.filter(link => link.start < line.start + line.text.length)
    const ranges = [{ field: 'description' as const, start: line.start, end: line.start + line.text.length }]
    if (settings.first === 'link') {
      if (here.length) return met('The first line holds a link.', { ranges })
      const link = links[0]
      return missing('This rule set wants a link on the first line.', {
        fixes: link ? [{ label: 'Put the first link on top', field: 'description', value: `${link.text}\n${text}` }] : [],
      })
    }
    const bare = here.length > 0 && words(line.text).length <= 8
    if (bare || line.text.startsWith('#')) {
      const rest = (text.slice(0, line.start) + text.slice(line.start + line.text.length)).trim()
      const fixes: Fix[] = /[\p{L}\p{N}]/u.test(rest) ? [{ label: 'Move this line to the end', field: 'description', value: `${rest}\n\n${line.text}` }] : []
      return missing(`Begins with ${bare ? 'a link' : 'hashtags'}. Begin with what the viewer gets.`, { ranges, fixes })
    }
    const wanted = BENEFIT[primaryLanguage(language)]
    if (wanted && !words(line.text).some(word => wanted.includes(word.norm))) {
      return partly(0.6, 'The first line does not speak of what the viewer gets. Say it in one clause.', { ranges })
    }
    return met('Begins with what the viewer gets.', { ranges })
  },
})
