import type { ZodType } from 'zod'

/** A file that is not what it should be, and why, a line each. */
export class FileFault extends Error {
  constructor(readonly lines: readonly string[]) {
    super(lines.join('\n'))
    this.name = 'FileFault'
  }
}

/** The line of a text on which a name stands; 0 where it is not there. */
const lineOf = (text: string, name: string) => {
  const at = text.indexOf(`"${name}"`)
  return at < 0 ? 0 : text.slice(0, at).split('\n').length
}

/**
 * A file of JSON as its schema reads it.
 * @param lookFor which of the names that lead to a fault tells the line to look at; the first unless given.
 * @throws FileFault that names each fault with its line.
 */
export function readJsonFile<Value>(
  text: string,
  schema: ZodType<Value>,
  lookFor: (names: readonly string[]) => string | undefined = names => names[0],
): { value: Value; given: unknown } {
  let given: unknown
  try {
    given = JSON.parse(text)
  } catch (error) {
    throw new FileFault([`This is not JSON: ${(error as Error).message}.`])
  }
  const { success, data, error } = schema.safeParse(given)
  if (success) return { value: data, given }
  throw new FileFault(
    error.issues.map(({ path, message }) => {
      const names = path.filter(part => typeof part === 'string')
      const line = lineOf(text, String(lookFor(names)))
      return `${line ? `Line ${line}, ` : ''}${names.join(' › ') || 'the file'}: ${message}`
    }),
  )
}
