import { JSONParser } from '@streamparser/json'
import { textLines, textPieces, type FileText } from './fileText'
import { inDigits } from '../../core/text/inWords'

/** A file up to this size is read as one value; of a larger one no more than one element is held at a time. */
const WHOLE = 4 * 1024 * 1024
const LONGEST_LINE = 4 * 1024 * 1024

/** What a JSON file holds: itself as a whole, one of its elements or lines, or why a line cannot be read. */
export type JsonValue = { line: number; value: unknown; whole: boolean } | { line: number; reason: string }

const parsed = (text: string): { value: unknown } | { problem: Error } => {
  try {
    return { value: JSON.parse(text) as unknown }
  } catch (error) {
    return { problem: error as Error }
  }
}

/** Whether each line is a value of its own: the first one is, or ends as no value spread over lines would. */
function isLines({ beginning }: FileText): boolean {
  const first = beginning.trimStart()
  const end = first.indexOf('\n')
  if (end < 0 || !first.slice(end).trim()) return false
  const line = first.slice(0, end).trim()
  return (
    !('problem' in parsed(line)) ||
    (line.startsWith('{') && !/[[{,:]$/u.test(line) && first.slice(end).trimStart().startsWith('{'))
  )
}

/**
 * The values of a JSON file: a small one whole, the elements of a large list (or of the lists a large object holds),
 * the lines of JSON Lines. A line that cannot be read is told and the others are kept.
 * @throws Error with a message for the user when the file as a whole cannot be read.
 */
export async function* jsonValues(
  of: FileText,
  progress: (part: number) => void = () => undefined,
): AsyncGenerator<JsonValue> {
  if (isLines(of)) {
    yield* lines(of, progress)
    return
  }
  if (of.size <= WHOLE) {
    let text = ''
    for await (const piece of textPieces(of, progress)) text += piece
    const found = parsed(text.replace(/^\ufeff/u, ''))
    // The first line may be longer than what was looked at.
    if (
      'problem' in found &&
      text.indexOf('\n') > of.beginning.length &&
      !('problem' in parsed(text.slice(0, text.indexOf('\n'))))
    ) {
      yield* lines(of, progress)
      return
    }
    if ('problem' in found)
      throw new Error(`The file looks like JSON but cannot be read: ${found.problem.message}`, { cause: found.problem })
    yield { line: 1, value: found.value, whole: true }
    return
  }
  yield* elements(of, progress)
}

async function* lines(of: FileText, progress: (part: number) => void): AsyncGenerator<JsonValue> {
  for await (const { line, text } of textLines(of, LONGEST_LINE, progress)) {
    if (text === null) {
      yield { line, reason: `The line is longer than ${inDigits(LONGEST_LINE)} characters.` }
      continue
    }
    if (!text.trim()) continue
    const found = parsed(text.replace(/^\ufeff/u, ''))
    yield 'problem' in found ? { line, reason: 'The line is not JSON.' } : { line, value: found.value, whole: false }
  }
}

async function* elements(of: FileText, progress: (part: number) => void): AsyncGenerator<JsonValue> {
  const isList = of.beginning.trimStart().startsWith('[')
  const parser = new JSONParser({ paths: [isList ? '$.*' : '$.*.*'], keepStack: false })
  let due: unknown[] = []
  let n = 0
  parser.onValue = ({ value }) => {
    due.push(value)
  }
  let first = true
  try {
    for await (const piece of textPieces(of, progress)) {
      parser.write(first ? piece.replace(/^\ufeff/u, '') : piece)
      first = false
      for (const value of due) yield { line: ++n, value, whole: false }
      due = []
    }
    if (!parser.isEnded) throw new Error('it ends too early')
  } catch (error) {
    throw new Error(`The file looks like JSON but cannot be read: ${(error as Error).message}`, { cause: error })
  }
}
