import { primaryLanguage } from '../../text/stems'
import { words } from '../../text/words'
import { defineCheck, met, missing, notApplicable, partly } from '../check'
import { oneOf } from '../settings'
import { textFix, type Fix } from '../draft'
import { linksOf } from '../links'
import { firstLineOf } from '../places'

/** Words by which a line speaks of what the viewer gets. */
const BENEFIT: Record<string, string[]> = {
  en: [
    'you',
    'your',
    'yours',
    'learn',
    'fix',
    'get',
    'save',
    'stop',
    'without',
    'make',
    'find',
    'know',
    'see',
    'avoid',
    'how',
  ],
  de: ['du', 'dein', 'deine', 'ihr', 'lernen', 'lernst', 'ohne', 'wie', 'sparen', 'so'],
  fr: ['vous', 'votre', 'tu', 'ton', 'apprenez', 'sans', 'comment'],
  es: ['tu', 'tus', 'aprende', 'sin', 'como', 'consigue'],
  pt: ['voce', 'seu', 'sua', 'aprenda', 'aprender', 'sem', 'como', 'ver'],
}

/** A line that is a link with little around it. */
const isBare = (line: string) => linksOf(line).length > 0 && words(line).length <= 8

const isHashtags = (line: string) => line.trimStart().startsWith('#')

/** Start of the description: what the viewer gets, or the link, by rule set. */
export const descriptionFirst = defineCheck({
  id: 'description-first',
  version: 1,
  field: 'description',
  question: 'chosen',
  title: 'Start of the description',
  why: 'A benefit first keeps viewers reading; a link first gets clicks from buyers. The rule set decides.',
  needs: ['description'],
  settings: {
    first: oneOf('What comes first', 'benefit', { benefit: 'what the viewer gets', link: 'a link' }),
  },
  run: ({ draft, settings, language }) => {
    const text = draft.description!
    const line = firstLineOf(text)
    if (!line.text) return notApplicable('Nothing written yet.')
    const ranges = [{ field: 'description' as const, start: line.start, end: line.start + line.text.length }]
    if (settings.first === 'link') {
      const link = linksOf(text)[0]
      if (link && link.start < line.start + line.text.length) return met('The first line contains a link.', { ranges })
      return missing('This rule set asks for a link on the first line.', {
        fixes: () => (link ? [textFix('Put the first link on top', 'description', text, `${link.text}\n${text}`)] : []),
      })
    }
    if (isBare(line.text) || isHashtags(line.text)) {
      // Every line of the kind that stands before the first real one moves, or the fix would put the next link on top.
      const lines = text.slice(line.start).split('\n')
      const real = lines.findIndex(each => /[\p{L}\p{N}]/u.test(each) && !isBare(each) && !isHashtags(each))
      const moved = lines.slice(0, real).join('\n').trim()
      const fixes = (): Fix[] =>
        real > 0
          ? [
              textFix(
                moved.includes('\n') ? 'Move these lines to the end' : 'Move this line to the end',
                'description',
                text,
                `${lines.slice(real).join('\n').trim()}\n\n${moved}`,
              ),
            ]
          : []
      return missing(`Starts with ${isBare(line.text) ? 'a link' : 'hashtags'}. Start with what the viewer gets.`, {
        ranges,
        fixes,
      })
    }
    const wanted = BENEFIT[primaryLanguage(language)]
    if (wanted && !words(line.text).some(word => wanted.includes(word.norm))) {
      return partly(0.6, 'The first line does not say what the viewer gets. Add it in a few words.', { ranges })
    }
    return met('Starts with what the viewer gets.', { ranges })
  },
})
