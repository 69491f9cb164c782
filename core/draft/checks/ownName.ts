import { readPhrase } from '../../text/match'
import { defineCheck, met, missing, notApplicable } from '../check'
import { tagsCost } from '../limits'

/** Whether words stand side by side in others. */
function holds(norms: readonly string[], wanted: readonly string[]): boolean {
  for (let at = norms.indexOf(wanted[0]!); at >= 0; at = norms.indexOf(wanted[0]!, at + 1))
    if (wanted.every((norm, i) => norms[at + i] === norm)) return true
  return false
}

/** The channel's own name stands in the title, the description or a tag. */
export const ownName = defineCheck({
  id: 'own-name',
  version: 1,
  field: 'tags',
  question: 'found',
  title: 'Own name',
  why: 'Who knows the channel searches for its name, and its videos are shown beside each other.',
  needs: [],
  settings: {},
  run: ({ draft, context: { ownName: name }, at, language, profile }) => {
    const wanted = readPhrase(name, language).norms
    if (!wanted.length) return notApplicable('This workspace has no channel name.')
    const texts = [...at('title'), ...at('description'), ...at('tags')]
    if (!texts.length) return notApplicable('Nothing written yet.')
    const found = texts.find(({ text }) => holds(text.norms, wanted))
    if (found) return met(`“${name}” is in the ${found.place === 'tags' ? 'tags' : found.place}.`)
    const tags = draft.tags
    const fits = tags && tagsCost([...tags, name], profile) <= profile.tags.limit && !name.includes(',')
    return missing(`“${name}” stands nowhere.`, {
      fixes: () =>
        fits
          ? [{ label: 'Add it as last tag', field: 'tags', edits: [{ item: tags.length, remove: 0, insert: [name] }] }]
          : [],
    })
  },
})
