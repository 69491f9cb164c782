import { stopWords } from '../../text/stopwords'
import { defineCheck, met, notApplicable, partly } from '../check'
import { fraction } from '../settings'

/** The description or the spoken words cover what the title promises. */
export const titleKept = defineCheck({
  id: 'title-kept',
  version: 1,
  field: 'title',
  question: 'kept',
  title: 'The description backs up the title',
  why: 'Viewers leave when the video does not deliver what its title promises.',
  needs: ['title', 'description'],
  settings: { enough: fraction('Share of the title’s words that is enough', 0.8) },
  run: ({ draft, at, language, settings }) => {
    const title = at('title')[0]!.text
    const stops = stopWords(language)
    const content = title.norms.map((_, i) => i).filter(i => !stops.has(title.norms[i]!))
    if (!content.length || !draft.description!.trim())
      return notApplicable('Title and description are needed to compare them.')
    const spoken = at('spoken')[0]
    const delivered = (i: number) =>
      at('description')[0]!.text.byStem.has(title.stems[i]!) || (spoken?.text.byStem.has(title.stems[i]!) ?? false)
    const undelivered = content.filter(i => !delivered(i))
    const share = 1 - undelivered.length / content.length
    const ranges = undelivered.map(i => ({ field: 'title' as const, start: title.starts[i]!, end: title.ends[i]! }))
    if (share >= settings.enough) return met('The description covers what the title says.')
    return partly(
      share / settings.enough,
      `The description does not mention ${undelivered.map(i => `“${title.norms[i]}”`).join(', ')}.`,
      { ranges },
    )
  },
})
