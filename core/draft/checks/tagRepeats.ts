import { defineCheck, met, notApplicable, partly } from '../check'
import { repeatedTags } from '../limits'

/** No tag twice. */
export const tagRepeats = defineCheck({
  id: 'tag-repeats',
  version: 1,
  field: 'tags',
  question: 'sound',
  title: 'No repeated tags',
  why: 'A repeated tag uses up characters and adds nothing.',
  needs: ['tags'],
  settings: {},
  run: ({ draft }) => {
    const tags = draft.tags!
    if (tags.length < 2) return notApplicable('Too few tags to repeat any.')
    const again = repeatedTags(tags)
    if (!again.length) return met('No tag is repeated.')
    return partly(
      1 - again.length / tags.length,
      `${again.map(i => `“${tags[i]!.trim() || 'empty'}”`).join(', ')} ${again.length === 1 ? 'is' : 'are'} repeated.`,
      {
        ranges: again.map(item => ({ field: 'tags', item, start: 0, end: tags[item]!.length })),
        fixes: () => [
          { label: 'Remove repeated tags', field: 'tags', edits: again.map(item => ({ item, remove: 1, insert: [] })) },
        ],
      },
    )
  },
})
