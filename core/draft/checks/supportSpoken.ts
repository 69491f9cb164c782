import { spoken } from '../../captions/spoken'
import { listed } from '../../text/inWords'
import { defineCheck, met, partly } from '../check'

/** Support phrases are spoken somewhere. */
export const supportSpoken = defineCheck({
  id: 'support-spoken',
  version: 1,
  field: 'captions',
  question: 'found',
  title: 'Support phrases spoken',
  why: 'What is never said is hard to find the video by, and hard to deliver.',
  needs: ['captions', 'support'],
  settings: {},
  run: ({ draft, support, language }) => {
    const rows = spoken(
      draft.captions!,
      support.map(phrase => phrase.raw),
      language,
    )
    const value = { exact: 1, inflected: 1, ordered: 0.8, scattered: 0.6, fragment: 0, none: 0 }
    const share = rows.reduce((sum, row) => sum + value[row.grade], 0) / rows.length
    const never = rows.filter(row => value[row.grade] === 0)
    if (share > 0.99) return met('Every support phrase is spoken.')
    return partly(
      share,
      never.length
        ? `Never spoken: ${listed(never.slice(0, 4).map(row => `“${row.phrase}”`))}.`
        : 'All are spoken, some with their words apart.',
    )
  },
})
