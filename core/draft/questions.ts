import type { Range as TextRange } from '../text/match'
import { linksOf } from './links'

/** Two checks ask of one text. */
let last: { text: string; questions: readonly TextRange[] } | null = null

/** A question shorter than this is a cry (“Really?”), not something to answer. */
const LEAST_QUESTION = 9

/** The text with its links blanked out: their question marks ask nobody. */
function withoutLinks(text: string): string {
  let [done, at] = ['', 0]
  for (const { start, end } of linksOf(text)) {
    done += text.slice(at, start) + '·'.repeat(end - start)
    at = end
  }
  return done + text.slice(at)
}

/**
 * The sentences of a text that end in a question mark, links left out. Cut in one pass, since a text without sentence
 * ends can be long.
 */
export function questionsOf(text: string): readonly TextRange[] {
  if (last?.text !== text) last = { text, questions: findQuestions(text) }
  return last.questions
}

function findQuestions(text: string): TextRange[] {
  let end = 0
  return withoutLinks(text)
    .split(/(?<=[.!?？\n])/u)
    .flatMap(sentence => {
      const start = end
      end += sentence.length
      return sentence.length >= LEAST_QUESTION && /[?？]$/u.test(sentence) ? [{ start, end }] : []
    })
}
