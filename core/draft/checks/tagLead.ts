import { defineCheck, met, missing, partly } from '../check'
import { oneOf } from '../settings'
import { tagKey } from '../limits'

/** The lead is among the tags, and where. */
export const tagLead = defineCheck({
  id: 'tag-lead',
  version: 1,
  field: 'tags',
  question: 'found',
  title: 'Lead phrase among the tags',
  why: 'Many creators give the first tag the most weight, and all agree that the lead belongs in the tags.',
  needs: ['lead', 'tags'],
  settings: { position: oneOf('Where the lead belongs', 'first', { first: 'the first tag', any: 'any tag' }) },
  run: ({ draft, lead, settings }) => {
    const tags = draft.tags!
    const key = tagKey(lead!.raw)
    const item = tags.findIndex(tag => tagKey(tag) === key)
    const front = { item: 0, remove: 0, insert: [lead!.raw] }
    if (item < 0)
      return missing('The lead is not among the tags.', {
        fixes: () => [{ label: 'Add the lead as first tag', field: 'tags', edits: [front] }],
      })
    const ranges = [{ field: 'tags' as const, item, start: 0, end: tags[item]!.length }]
    if (item === 0 || settings.position === 'any') return met(`The lead is tag ${item + 1}.`, { ranges })
    return partly(0.6, `The lead is tag ${item + 1}; this rule set asks for it first.`, {
      ranges,
      fixes: () => [
        {
          label: 'Move the lead to the front',
          field: 'tags',
          edits: [
            front,
            ...tags.flatMap((tag, at) => (tagKey(tag) === key ? [{ item: at, remove: 1, insert: [] }] : [])),
          ],
        },
      ],
    })
  },
})
