import { areSpellings } from '../../text/spelling'
import { defineCheck, met, missing, notApplicable } from '../check'

/** What was found last: tags and phrases stay while a description is typed. */
let last: { key: string; items: number[] } | null = null

/** Indexes of tags that are another spelling of a phrase. */
function spellingsAmong(tags: readonly string[], phrases: readonly string[], language: string): number[] {
  const key = [language, ...phrases, '', ...tags].join('\n')
  if (last?.key !== key)
    last = {
      key,
      items: tags.flatMap((tag, i) => (phrases.some(phrase => areSpellings(tag, phrase, language)) ? [i] : [])),
    }
  return last.items
}

/** A tag is a common misspelling of a phrase. */
export const tagMisspelling = defineCheck({
  id: 'tag-misspelling',
  version: 1,
  field: 'tags',
  question: 'found',
  title: 'A misspelling among the tags',
  why: 'Tags are the one place where a misspelling that people search for can stand unseen.',
  needs: ['lead', 'tags'],
  settings: {},
  run: ({ draft, lead, support, language }) => {
    const tags = draft.tags!
    if (!tags.length) return notApplicable('No tags yet.')
    const phrases = [lead!, ...support].map(phrase => phrase.raw)
    const found = spellingsAmong(tags, phrases, language)
    if (found.length)
      return met(`“${tags[found[0]!]}” is another spelling of a phrase.`, {
        ranges: found.map(item => ({ field: 'tags', item, start: 0, end: tags[item]!.length })),
      })
    return missing('No other spelling of a phrase. Suggestions for tags hold those that are searched for.')
  },
})
