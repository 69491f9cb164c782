import { defineCheck, met, notApplicable, partly } from '../check'
import { linksOf } from '../links'

/** Every link in the description carries a scheme. */
export const linkScheme = defineCheck({
  id: 'link-scheme',
  version: 1,
  field: 'description',
  question: 'sound',
  title: 'Links that can be clicked',
  why: 'The site only turns an address into a link when it starts with https:// or http://.',
  needs: ['description'],
  settings: {},
  run: ({ draft }) => {
    const links = linksOf(draft.description!)
    if (!links.length) return notApplicable('No links in the description.')
    const bare = links.filter(link => !link.scheme)
    if (!bare.length) return met(`${links.length === 1 ? 'The link works' : `All ${links.length} links work`}.`)
    return partly(
      1 - bare.length / links.length,
      `${bare.map(link => link.text).join(', ')} cannot be clicked. Add https:// in front.`,
      {
        ranges: bare.map(link => ({ field: 'description', start: link.start, end: link.end })),
        fixes: () => [
          {
            label: 'Add https:// to these links',
            field: 'description',
            edits: bare.map(link => ({ start: link.start, end: link.start, insert: 'https://' })),
          },
        ],
      },
    )
  },
})
