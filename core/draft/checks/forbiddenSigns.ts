import { trimSigns } from '../../text/trim'
import type { Outcome } from '../check'
import { textFix, type FieldRange } from '../draft'
import { defineCheck, met, missing, notApplicable } from '../check'

/** Markup goes whole: of a sign taken out alone its name would be left. */
const MARKUP = /<\/?[a-z][^<>\n]{0,200}>/giu

function signs(field: 'title' | 'description', text: string, forbidden: string[]): Outcome {
  if (!text.trim()) return notApplicable('Nothing written yet.')
  const ranges: FieldRange[] = []
  for (const sign of forbidden)
    for (let at = text.indexOf(sign); at >= 0; at = text.indexOf(sign, at + sign.length))
      ranges.push({ field, start: at, end: at + sign.length })
  if (!ranges.length) return met(`Contains none of ${forbidden.join(' ')}.`)
  ranges.sort((a, b) => a.start - b.start)
  const without = text
    .split('\n')
    .map(line => {
      const rest = forbidden.reduce((part, sign) => part.replaceAll(sign, ' '), line.replace(MARKUP, ''))
      return rest === line ? line : trimSigns(rest.replace(/ {2,}/g, ' '), / /u, 'end')
    })
    .join('\n')
  return missing(
    `Contains ${ranges.length === 1 ? 'a character' : `${ranges.length} characters`} the site does not allow (${forbidden.join(' ')}). Remove ${ranges.length === 1 ? 'it' : 'them'}.`,
    {
      ranges,
      fixes: () => [textFix('Remove these characters', field, text, without)],
    },
  )
}

/** No sign in the title that the site refuses. */
export const titleSigns = defineCheck({
  id: 'title-signs',
  version: 1,
  field: 'title',
  question: 'sound',
  title: 'Only allowed characters in the title',
  why: 'The site rejects an upload that contains one of them.',
  needs: ['title'],
  settings: {},
  run: ({ draft, profile }) => signs('title', draft.title!, profile.title.forbidden),
})

/** No sign in the description that the site refuses. */
export const descriptionSigns = defineCheck({
  id: 'description-signs',
  version: 1,
  field: 'description',
  question: 'sound',
  title: 'Only allowed characters in the description',
  why: 'The site rejects an upload that contains one of them.',
  needs: ['description'],
  settings: {},
  run: ({ draft, profile }) => signs('description', draft.description!, profile.description.forbidden),
})
