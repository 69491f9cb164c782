import { gapsOf } from '../../descriptions/gaps'
import { counted } from '../../text/inWords'
import { defineCheck, inField, missing, notApplicable } from '../check'

/** No gap of a composed description is left to fill. */
export const noGaps = defineCheck({
  id: 'no-gaps',
  version: 1,
  field: 'description',
  question: 'sound',
  title: 'No gaps left',
  why: 'A marked gap is read by viewers as it stands.',
  needs: ['description'],
  settings: {},
  run: ({ draft }) => {
    const gaps = gapsOf(draft.description!)
    if (!gaps.length) return notApplicable('There are no gaps to fill.')
    return missing(`${counted(gaps.length, 'gap')} left: fill in what the video shows, or delete the line.`, {
      ranges: inField('description', gaps),
    })
  },
})
