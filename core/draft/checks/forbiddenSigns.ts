import { trimSigns } from '../../text/trim'
import type { Outcome } from '../check'
import { textFix, type FieldRange } from '../draft'
import { defineCheck, met, missing, notApplicable } from '../check'

/** Markup goes whole: of a sign taken out alone its name would be left. */
const MARKUP = /<\/?[a-z][^<>\n]{0,200}>/giu

function signs(field: 'title' | 'description', text: string, forbidden: string[]): Outcome {
  if (!text.trim()) return notApplicable('Nothing written yet.')
  const ranges: FieldRange[] = []
  for (const sign of forbidden) for (let at = text.indexOf(sign); at >= 0; at = text.indexOf(sign, at + sign.length)) ranges.push({ field, start: at, end: at + sign.length })
  if (!ranges.length) return met(`None of ${forbidden.join(' ')} in it.`)
  ranges.sort((a, b) => a.start - b.start)
  const without = text.split('\n').map((line) => {
    const rest = forbidden.reduce((part, sign) => part.replaceAll(sign, ' '), line.replace(MARKUP, ''))
    return rest === line ? line : trimSigns(rest.replace(/ {2,}/g, ' '), / /u, 'end')
  }).join('\n')
  return missing(`Holds ${ranges.length === 1 ? 'a sign' : `${ranges.length} signs`} that the site refuses (${forbidden.join(' ')}). Take ${ranges.length === 1 ? 'it' : 'them'} out.`, {
    ranges,
    fixes: [textFix('Take out the refused signs', field, text, without)],
  })
}

/** No sign in the title that the site refuses. */
export const titleSigns = defineCheck({
  id: 'title-signs',
  version: 1,
  field: 'title',
  question: 'sound',
  title: 'No refused signs in the title',
  why: 'An upload with one of them is turned back.',
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
  title: 'No refused signs in the description',
  why: 'An upload with one of them is turned back.',
  needs: ['description'],
  settings: {},
  run: ({ draft, profile }) => signs('description', draft.description!, profile.description.forbidden),
})
