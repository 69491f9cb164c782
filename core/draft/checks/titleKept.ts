import { stopWords } from '../../text/stopwords'
import { defineCheck, met, notApplicable, partly } from '../check'

/** What the title says is told again in the description or in the spoken words. */
export const titleKept = defineCheck({
  id: 'title-kept',
  version: 1,
  field: 'title',
  question: 'kept',
  title: 'The title’s words are borne out',
  why: 'A title that the rest does not bear out drives viewers off, and the video sinks.',
  needs: ['title', 'description'],
  settings: { enough: 0.8 },
  run: ({ draft, at, language, settings }) => {
    const title = at('title')[0]!.text
    const stops = stopWords(language)
    const content = title.norms.map((_, i) => i).filter(i => !stops.has(title.norms[i]!))
    if (!content.length || !draft.description!.trim()) return notApplicable('Title and description are needed to compare them.')
    const spoken = at('spoken')[0]
    const told = (i: number) => at('description')[0]!.text.byStem.has(title.stems[i]!) || (spoken?.text.byStem.has(title.stems[i]!) ?? false)
    const untold = content.filter(i => !told(i))
    const share = 1 - untold.length / content.length
    const ranges = untold.map(i => ({ field: 'title' as const, start: title.starts[i]!, end: title.ends[i]! }))
    if (share >= settings.enough) return met('What the title says is told again below it.')
    return partly(share / settings.enough, `Nothing below the title speaks of ${untold.map(i => `“${title.norms[i]}”`).join(', ')}.`, { ranges })
  },
})
