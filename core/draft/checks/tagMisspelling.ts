import { areSpellings } from '../../text/spelling'
import { defineCheck, met, missing, notApplicable } from '../check'

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
    const found = tags.flatMap((tag, item) =>
      phrases.some(phrase => areSpellings(tag, phrase, language))
        ? [{ field: 'tags' as const, item, start: 0, end: tag.length }]
        : [],
    )
    if (found.length) return met(`“${tags[found[0]!.item]}” is another spelling of a phrase.`, { ranges: found })
    return missing('No other spelling of a phrase. Suggestions for tags hold those that are searched for.')
  },
})
