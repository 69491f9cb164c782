import { codePointOffset } from '../../text/count'
import { span } from '../../text/match'
import { asSentence, defineCheck, inField, met, missing, partly } from '../check'
import { oneOf } from '../settings'
import { textFix, type Fix } from '../draft'
import { begunWith } from '../opening'
import { firstLineOf } from '../places'

const SENTENCE = /[^.!?\n]*[.!?\n]+|[^.!?\n]+$/gu

/** UTF-16 offset where the second sentence of a text ends; a line break ends one too. */
function twoSentences(text: string): number {
  let seen = 0
  for (const hit of text.matchAll(SENTENCE)) {
    if (/[\p{L}\p{N}]/u.test(hit[0])) seen++
    if (seen === 2) return hit.index + hit[0].length
  }
  return text.length
}

const WANTED = {
  alone: 'alone on the first line',
  sentences: 'in the first two sentences',
  opening: 'in the opening that results show',
} as const

/** How the description begins: where the lead stands in it, by rule set. */
export const descriptionBegin = defineCheck({
  id: 'description-begin',
  version: 1,
  field: 'description',
  question: 'found',
  title: 'Lead phrase at the start of the description',
  why: 'Search results show the start of the description, and viewers read it first.',
  needs: ['lead', 'description'],
  settings: { where: oneOf('Where the lead belongs', 'sentences', WANTED) },
  run: ({ draft, lead, profile, settings, language, at, match }) => {
    const text = draft.description!
    const front = asSentence(lead!.raw, language)
    const fixes = (): Fix[] => [
      settings.where === 'alone'
        ? textFix(
            'Put the lead on a first line of its own',
            'description',
            text,
            text.trim() ? `${front}\n\n${text.trimStart()}` : front,
          )
        : textFix('Start with the lead', 'description', text, begunWith(text, lead!.raw, language)),
    ]
    const found = match(lead!, at('description')[0]!.text)
    const ranges = inField('description', found.ranges)
    const where = span(found)
    const wanted = WANTED[settings.where]
    if (!where || found.grade === 'fragment')
      return missing(`The lead is not in the description. This rule set asks for it ${wanted}.`, { ranges, fixes })

    const line = firstLineOf(text)
    const alone =
      found.grade === 'exact' &&
      where.start >= line.start &&
      where.end <= line.start + line.text.length &&
      !/[\p{L}\p{N}]/u.test(line.text.slice(0, where.start - line.start) + line.text.slice(where.end - line.start))
    const end =
      settings.where === 'sentences' ? twoSentences(text) : codePointOffset(text, profile.description.openingCodePoints)
    const there = settings.where === 'alone' ? alone : where.end <= end
    const whole = found.grade === 'exact'
    if (there && whole) return met(`The lead is ${wanted}.`, { ranges })
    if (there) return partly(0.7, `The lead is ${wanted}, but not word for word.`, { ranges, fixes })
    return partly(whole ? 0.4 : 0.25, `The lead comes later. This rule set asks for it ${wanted}.`, { ranges, fixes })
  },
})
