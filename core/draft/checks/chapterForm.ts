import { chapterFaults } from '../../chapters/faults'
import { chaptersOf } from '../../chapters/lines'
import { defineCheck, met, notApplicable, partly } from '../check'

/** The chapters are written so that a site shows them. */
export const chapterForm = defineCheck({
  id: 'chapter-form',
  version: 1,
  field: 'description',
  question: 'sound',
  title: 'Chapters as the site wants them',
  why: 'One wrong time, and none of the chapters is shown.',
  needs: ['description'],
  settings: {},
  run: ({ draft, profile }) => {
    const chapters = chaptersOf(draft.description!)
    if (!chapters.length) return notApplicable('No chapters in the description.')
    const faults = chapterFaults(chapters, profile.chapters, draft.durationSeconds)
    if (!faults.length) return met('The chapters are in order.')
    const ranges = faults.flatMap(({ index }) => {
      const chapter = index === null ? null : chapters[index]
      return chapter
        ? [{ field: 'description' as const, start: chapter.start, end: chapter.titleStart + chapter.title.length }]
        : []
    })
    // None is shown where one is wrong; a fault less is still on the way.
    return partly(0.5 / faults.length - 0.25, `${faults[0]!.message} Mend it under Spoken, Chapters.`, { ranges })
  },
})
