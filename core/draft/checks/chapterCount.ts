import { chaptersOf } from '../../chapters/lines'
import { counted } from '../../text/inWords'
import { defineCheck, met, missing, notApplicable } from '../check'
import { wholeNumber } from '../settings'

/** A longer video has chapters. */
export const chapterCount = defineCheck({
  id: 'chapter-count',
  version: 1,
  field: 'description',
  question: 'chosen',
  title: 'Chapters in a longer video',
  why: 'Whoever looks for one step finds it, and the site can show them in search.',
  needs: ['description'],
  settings: { minutes: wholeNumber('Asked for from, in minutes', 4, 1, 600) },
  run: ({ draft, settings, profile }) => {
    const seconds = draft.durationSeconds ?? (draft.captions?.timed ? draft.captions.cues.at(-1)?.end : undefined)
    const chapters = chaptersOf(draft.description!).length
    if (chapters >= profile.chapters.least) return met(`${counted(chapters, 'chapter')}.`)
    if (seconds === undefined) return notApplicable('The length of the video is not known.')
    if (seconds < settings.minutes * 60) return notApplicable('The video is short.')
    return missing(
      `${counted(chapters, 'chapter')} in ${counted(Math.round(seconds / 60), 'minute')}. Cut them under Spoken.`,
    )
  },
})
