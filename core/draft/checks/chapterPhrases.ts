import { GRADES } from '../../text/match'
import { defineCheck, met, missing, notApplicable, partly } from '../check'
import { wholeNumber } from '../settings'

/** Phrases of the tray stand in the titles of chapters. */
export const chapterPhrases = defineCheck({
  id: 'chapter-phrases',
  version: 1,
  field: 'description',
  question: 'found',
  title: 'Phrases in chapter titles',
  why: 'Chapters are found and shown in search by themselves.',
  needs: ['description'],
  settings: { least: wholeNumber('Phrases at least', 2, 1, 20) },
  run: ({ at, lead, support, match, settings }) => {
    const chapters = at('chapters')
    if (!chapters.length) return notApplicable('No chapters in the description.')
    const phrases = [...(lead ? [lead] : []), ...support]
    if (!phrases.length) return notApplicable('No phrases in the tray.')
    const wanted = Math.min(settings.least, phrases.length, chapters.length)
    const good = GRADES.indexOf('ordered')
    const ranges = phrases.flatMap(phrase => {
      for (const { text, offset } of chapters) {
        const found = match(phrase, text)
        if (GRADES.indexOf(found.grade) <= good)
          return [
            found.ranges.map(({ start, end }) => ({
              field: 'description' as const,
              start: start + offset,
              end: end + offset,
            })),
          ]
      }
      return []
    })
    const said = `${ranges.length} of ${wanted} phrases or more stand in chapter titles.`
    if (ranges.length >= wanted) return met(said, { ranges: ranges.flat() })
    return ranges.length ? partly(ranges.length / wanted, said, { ranges: ranges.flat() }) : missing(said)
  },
})
