import type { Outcome } from '../check'
import { defineCheck, met, missing, notApplicable } from '../check'

function signs(field: 'title' | 'description', text: string, forbidden: string[]): Outcome {
  if (!text.trim()) return notApplicable('Nothing written yet.')
  const ranges = [...text].reduce<{ at: number, found: { field: typeof field, start: number, end: number }[] }>((state, point) => {
    if (forbidden.includes(point)) state.found.push({ field, start: state.at, end: state.at + point.length })
    return { at: state.at + point.length, found: state.found }
  }, { at: 0, found: [] }).found
  if (!ranges.length) return met(`None of ${forbidden.join(' ')} in it.`)
  const without = [...text].filter(point => !forbidden.includes(point)).join('').replace(/ {2,}/g, ' ')
  return missing(`Holds ${ranges.length === 1 ? 'a sign' : `${ranges.length} signs`} that the site refuses (${forbidden.join(' ')}). Take ${ranges.length === 1 ? 'it' : 'them'} out.`, {
    ranges,
    fixes: [{ label: 'Take out the refused signs', field, value: without }],
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
