import { defineCheck, met, missing, notApplicable } from '../check'
import { tagCost, tagKey, tagsCost } from '../limits'

/** The whole title is a tag. */
export const tagTitle = defineCheck({
  id: 'tag-title',
  version: 1,
  field: 'tags',
  question: 'found',
  title: 'Whole title as a tag',
  why: 'Some creators repeat the title as a tag, so that its words stand together once more.',
  needs: ['title', 'tags'],
  settings: {},
  run: ({ draft, profile }) => {
    const [tags, title] = [draft.tags!, draft.title!.trim()]
    if (!title) return notApplicable('There is no title yet.')
    const key = tagKey(title)
    const item = tags.findIndex(tag => tagKey(tag) === key)
    if (item >= 0)
      return met(`Tag ${item + 1} is the title.`, {
        ranges: [{ field: 'tags', item, start: 0, end: tags[item]!.length }],
      })
    const room = profile.tags.limit - tagsCost(tags, profile) - (tags.length ? profile.tags.separator : 0)
    if (title.includes(',')) return notApplicable('A title with a comma cannot be one tag.')
    if (tagCost(title, profile) > room)
      return missing(`The title is no tag, and ${Math.max(0, room)} characters left are too few for it.`)
    return missing('The title is no tag.', {
      fixes: () => [
        {
          label: 'Add the title as last tag',
          field: 'tags',
          edits: [{ item: tags.length, remove: 0, insert: [title] }],
        },
      ],
    })
  },
})
