import { fitsEms } from '../../text/width'
import { span } from '../../text/match'
import { defineCheck, inField, met, missing, partly } from '../check'
import { oneOf } from '../settings'
import { leadFirst } from '../titleFixes'

/** The lead phrase stands whole in the part of the title that a phone shows. */
export const titleFront = defineCheck({
  id: 'title-front',
  version: 1,
  field: 'title',
  question: 'chosen',
  title: 'Lead phrase where a phone shows it',
  why: 'Most people read titles on a phone, which shows about sixty characters.',
  needs: ['lead', 'title'],
  settings: {
    surface: oneOf('Where it must fit', 'phone', {
      phone: 'a phone',
      desktopList: 'a list on a computer',
      suggestion: 'the column of suggestions',
    }),
  },
  run: ({ draft, lead, profile, settings, at, match }) => {
    const found = match(lead!, at('title')[0]!.text)
    const fixes = () => leadFirst(draft.title!, lead!, profile)
    if (found.grade !== 'exact' && found.grade !== 'inflected')
      return missing('The title does not contain the lead, so a phone cannot show it.', { fixes })
    const { start, end } = span(found)!
    const ranges = inField('title', found.ranges)
    const ems = profile.surfaces[settings.surface]
    if (fitsEms(draft.title!.slice(0, end), ems)) return met('A phone shows the whole lead.', { ranges })
    return fitsEms(draft.title!.slice(0, start), ems)
      ? partly(0.4, 'A phone cuts the lead off. Move it further to the front.', { ranges, fixes })
      : missing('A phone cuts the title before the lead begins. Move it to the front.', { ranges, fixes })
  },
})
