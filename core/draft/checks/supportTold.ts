import { gradeValue } from '../../rivals/strength'
import { GRADES, type ReadPhrase } from '../../text/match'
import { defineCheck, met, partly } from '../check'
import { textFix, type FieldRange, type Fix } from '../draft'
import { alsoSentence } from '../wording'

/** Support phrases, or their fragments, stand in the title or the description. */
export const supportTold = defineCheck({
  id: 'support-told',
  version: 1,
  field: 'description',
  question: 'found',
  title: 'Support phrases used',
  why: 'People also find a video by its other phrases. Parts of a phrase count too.',
  needs: ['support', 'description'],
  settings: {},
  run: ({ draft, support, language, at, match }) => {
    const ranges: FieldRange[] = []
    const absent: ReadPhrase[] = []
    let sum = 0
    for (const phrase of support) {
      const inText = match(phrase, at('description')[0]!.text)
      const title = at('title')[0]
      const inTitle = title ? match(phrase, title.text) : inText
      const [best, field] =
        GRADES.indexOf(inTitle.grade) < GRADES.indexOf(inText.grade)
          ? [inTitle, 'title' as const]
          : [inText, 'description' as const]
      const value = gradeValue(best)
      sum += value
      if (value < 0.6) absent.push(phrase)
      ranges.push(...best.ranges.map(range => ({ field, ...range })))
    }
    const covered = support.length - absent.length
    if (!absent.length)
      return sum / support.length > 0.99
        ? met(`All ${support.length} are used word for word.`, { ranges })
        : partly(sum / support.length, 'All are used, some not word for word.', { ranges })
    const text = draft.description!.trimEnd()
    const sentence = alsoSentence(
      absent.map(phrase => phrase.raw),
      language,
    )
    const label =
      absent.length === 1 ? 'Add the missing phrase at the end' : `Add the ${absent.length} missing phrases at the end`
    const fixes = (): Fix[] =>
      sentence === null
        ? []
        : [textFix(label, 'description', draft.description!, `${text}${text ? '\n\n' : ''}${sentence}`)]
    return partly(
      sum / support.length,
      `${covered} of ${support.length} are used. Missing: ${absent.map(phrase => `“${phrase.raw}”`).join(', ')}.`,
      { ranges, fixes },
    )
  },
})
