import type { OpenWorld } from './openWorld'
import { hash } from './chance'

const SUGGESTIONS = 12

/** The words of what was typed. */
export const terms = (phrase: string) => phrase.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []
/** The language the world has for one that is asked for: `en-GB` is answered in English. */
export const spoken = (language: string) => language.toLowerCase().split('-')[0]!

/** Who suggests what people type, and the part in a hundred of it that each one knows. */
const KNOWN = { video: 72, web: 64, otherWeb: 50 } as const
export type Suggester = keyof typeof KNOWN

/**
 * What people type that holds the words typed, the last one perhaps only begun. Each source knows another part of it.
 */
export function suggesting({ db }: OpenWorld) {
  const beginning = db.prepare<[string, string], { text: string }>(
    `SELECT p.text FROM phrase_words w JOIN phrase p ON p.id = w.rowid WHERE phrase_words MATCH ? AND p.language = ? ORDER BY w.rowid
      LIMIT 60`,
  )
  return (source: Suggester, prefix: string, language: string): string[] => {
    const typed = terms(prefix)
    if (!typed.length) return []
    return beginning
      .all(
        typed
          .map((word, i) => (i === typed.length - 1 && !/\s$/u.test(prefix) ? `"${word}" *` : `"${word}"`))
          .join(' AND '),
        spoken(language),
      )
      .filter(row => hash(source + row.text) % 100 < KNOWN[source])
      .slice(0, SUGGESTIONS)
      .map(row => row.text)
  }
}
