import type { LimitProfile } from '../../core/draft/limits'
import type { RuleSet } from '../../core/draft/ruleset'
import { manyLineSchema, type ManyAnswer } from '../../shared/checkMany'
import { inLanes } from '../threads/inLanes'
import { inTime } from '../threads/inTime'
import { fileText, textLines } from '../imports/fileText'
import { problemOf } from '../http/problem'
import type { Runtime } from '../runtime'
import type { TextToScore } from '../threads/scoringThread'

/** Texts scored in one go: some milliseconds, in which others wait. */
const TOGETHER = 40
/** Longest line taken: a full draft with captions of an hour. */
const LONGEST = 500_000

type Line = { text: TextToScore; id: string | undefined } | { answer: ManyAnswer }

/** What is wrong with a line, in the API's words. */
function refusal(error: unknown, id?: string): ManyAnswer {
  const { code, message } = problemOf(error).body.error
  return { ...(id === undefined ? {} : { id }), error: { code, message } }
}

function lineOf(text: string | null, language: string): Line {
  if (text === null)
    return {
      answer: {
        error: {
          code: 'too-long',
          message: `A line is longer than ${LONGEST.toLocaleString('en')} characters. Shorten it.`,
        },
      },
    }
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    return { answer: { error: { code: 'no-json', message: 'This line is not JSON.' } } }
  }
  const { success, data, error } = manyLineSchema.safeParse(value)
  if (!success) return { answer: refusal(error) }
  return { id: data.id, text: { draft: data.draft, phrases: data.phrases, language: data.language ?? language } }
}

/** The texts of a file, a line each, scored as they are read; answers come in the order of the lines. */
export async function* checkMany(
  { scoring }: Pick<Runtime, 'scoring'>,
  file: string,
  set: RuleSet,
  profile: LimitProfile,
  language: string,
): AsyncGenerator<ManyAnswer> {
  let lines: ReturnType<typeof textLines>
  try {
    lines = textLines(fileText(file), LONGEST)
  } catch (error) {
    // Nothing, or no text at all.
    yield { error: { code: 'unreadable', message: (error as Error).message } }
    return
  }
  const read = async function* () {
    for await (const { text } of lines) if (text === null || text.trim()) yield lineOf(text, language)
  }
  yield* inLanes(read(), { lanes: scoring.lanes, together: TOGETHER }, answered)

  async function answered(lines: readonly Line[], lane: number): Promise<ManyAnswer[]> {
    const texts = lines.flatMap(line => ('text' in line ? [line.text] : []))
    // One text that takes too long is told as such; those beside it are scored all the same.
    const found = await inTime<TextToScore, ManyAnswer>(texts, some => scoring.many(lane, some, set, profile), refusal)
    let at = 0
    return lines.map(line =>
      'answer' in line ? line.answer : { ...(line.id === undefined ? {} : { id: line.id }), ...found[at++]! },
    )
  }
}
