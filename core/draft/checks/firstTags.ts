import type { Fix } from '../draft'
import { defineCheck, met, missing, notApplicable, partly } from '../check'
import { wholeNumber } from '../settings'

/** The first tags are close to the lead. */
export const firstTags = defineCheck({
  id: 'first-tags',
  version: 1,
  field: 'tags',
  question: 'found',
  title: 'First tags close to the lead',
  why: 'Where tags count at all, the first ones count most.',
  needs: ['lead', 'tags'],
  settings: { first: wholeNumber('How many', 3, 1, 50) },
  run: ({ lead, at, match, settings: { first } }) => {
    const tags = at('tags')
    if (!tags.length) return notApplicable('No tags yet.')
    const looked = tags.slice(0, first)
    const far = looked.filter(tag => match(lead!, tag.text).grade === 'none')
    if (!far.length) return met(`The first ${looked.length} are close to the lead.`)
    const said = `${far.map(tag => `“${tag.text.raw}”`).join(', ')} ${far.length === 1 ? 'is' : 'are'} not close to the lead. Move closer tags to the front.`
    const ranges = far.map(tag => ({ field: 'tags' as const, item: tag.item!, start: 0, end: tag.text.raw.length }))
    const moved = tags
      .slice(first)
      .filter(tag => match(lead!, tag.text).grade !== 'none')
      .slice(0, far.length)
    // What is far goes behind the ones that come up, or it would still be among the first.
    const from = far[0]!.item!
    const to = (moved.at(-1)?.item ?? from) + 1
    const others = tags.slice(from, to).filter(tag => !far.includes(tag))
    const fixes = (): Fix[] =>
      moved.length
        ? [
            {
              label: moved.length === 1 ? 'Move a closer tag up' : 'Move closer tags up',
              field: 'tags' as const,
              edits: [
                {
                  item: from,
                  remove: to - from,
                  insert: [
                    ...others.filter(tag => tag.item! < first || moved.includes(tag)),
                    ...far,
                    ...others.filter(tag => tag.item! >= first && !moved.includes(tag)),
                  ].map(tag => tag.text.raw),
                },
              ],
            },
          ]
        : []
    const share = 1 - far.length / looked.length
    return share ? partly(share, said, { ranges, fixes }) : missing(said, { ranges, fixes })
  },
})
