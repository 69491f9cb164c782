import { spokenWords } from '../../captions/spoken'
import { stopWords } from '../../text/stopwords'
import { defineCheck, met, notApplicable, partly } from '../check'
import { fraction, wholeNumber } from '../settings'

/** The first half minute says what the title says. */
export const openingSpoken = defineCheck({
  id: 'opening-spoken',
  version: 1,
  field: 'captions',
  question: 'kept',
  title: 'Title borne out in the first seconds',
  why: 'Most who leave do so in the first half minute, when they do not hear what they came for.',
  needs: ['title', 'captions'],
  settings: {
    seconds: wholeNumber('The first seconds', 30, 5, 300),
    enough: fraction('Share of the title’s words that is enough', 0.5),
  },
  run: ({ draft, at, language, settings }) => {
    const { cues, timed } = draft.captions!
    if (!timed) return notApplicable('When it is spoken is not known.')
    const early = cues.filter(cue => cue.start < settings.seconds).length
    const text = spokenWords(draft.captions!, language)
    const stops = stopWords(language)
    const title = at('title')[0]!.text
    const content = [...new Set(title.stems.filter((_, i) => !stops.has(title.norms[i]!)))]
    if (!content.length || !early) return notApplicable('There is nothing to compare.')
    const last = lineEnd(text.raw, early)
    const said = content.filter(stem => (text.byStem.get(stem) ?? []).some(word => text.starts[word]! < last))
    const share = said.length / content.length
    if (share >= settings.enough) return met(`${said.length} of ${content.length} words of the title come up at once.`)
    return partly(
      share / settings.enough,
      `${said.length} of ${content.length} words of the title come up in the first ${settings.seconds} seconds.`,
    )
  },
})

/** Where the first lines of a text end. */
function lineEnd(text: string, lines: number): number {
  let at = -1
  for (let line = 0; line < lines; line++) {
    at = text.indexOf('\n', at + 1)
    if (at < 0) return text.length
  }
  return at
}
