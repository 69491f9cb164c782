import type { TranslatedText } from '../../../core/translation/marked'
import type { Answer, Translation } from '../contract'
import de from './dictionaries/de.json' with { type: 'json' }
import es from './dictionaries/es.json' with { type: 'json' }
import type { Answering } from './answering'

const SOURCE = 'simulated dictionary'
const FROM = 'en'
const NOTE =
  'A small dictionary of the bicycle trade, English to Spanish and German. It knows some two hundred words, puts them one after the other, and leaves the others as they are. Whoever speaks the language has to read it over.'

interface Dictionary {
  things: Record<string, string>
  verbs: Record<string, string>
  words: Record<string, string>
  /** A group of words in English, and what becomes of it. The first that fits counts. */
  patterns: string[][]
}

/** Words of one part of a sentence, with what lies between them. */
interface Part {
  text: string
  isWord: boolean
}
const PARTS = /https?:\/\/\S+|[\p{L}\p{M}\p{N}'’-]+(?:\.[\p{L}\p{N}]\S*)?|[^\p{L}\p{M}\p{N}]/gu
const WORD = /^[\p{L}'’-]+$/u
/** Longest entry, in words. */
const LONGEST = 4
/** What may stand between a verb and its thing, and is not said in a phrase. */
const ARTICLES = new Set(['a', 'an', 'the', 'your', 'my', 'our'])

const partsOf = (text: string): Part[] =>
  [...text.matchAll(PARTS)].map(([part]) => ({ text: part, isWord: WORD.test(part) }))
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** A dictionary that reads: entries by their English words. */
function reader({ things, verbs, words, patterns }: Dictionary) {
  const all = new Map([...Object.entries(verbs), ...Object.entries(words), ...Object.entries(things)])
  /** The entry that begins with a part, and where it ends; white space lies between its words. */
  function longest(parts: readonly Part[], from: number, among: ReadonlyMap<string, string>) {
    let found: { text: string; end: number } | null = null
    let said = ''
    for (let at = from, n = 0; at < parts.length && n < LONGEST; at++) {
      const { text, isWord } = parts[at]!
      if (!isWord) {
        if (text === ' ') continue
        break
      }
      n++
      said = said ? `${said} ${text.toLowerCase()}` : text.toLowerCase()
      const entry = among.get(said)
      if (entry !== undefined) found = { text: entry, end: at + 1 }
    }
    return found
  }
  const verbsOnly = new Map(Object.entries(verbs))
  const thingsOnly = new Map(Object.entries(things))
  const spaces = (parts: readonly Part[], from: number) => {
    let at = from
    while (parts[at]?.text === ' ' || (parts[at]?.isWord && ARTICLES.has(parts[at]!.text.toLowerCase()))) at++
    return at
  }
  /** What a pattern makes of the parts from a place on. */
  function patterned(parts: readonly Part[], from: number): { text: string; end: number } | null {
    for (const [english = '', other = ''] of patterns) {
      let at = from
      const held: Record<string, string> = {}
      const fits = english.split(' ').every(word => {
        at = at === from ? at : spaces(parts, at)
        if (word === '{verb}' || word === '{thing}') {
          const entry = longest(parts, at, word === '{verb}' ? verbsOnly : thingsOnly)
          if (!entry) return false
          held[word] = entry.text
          at = entry.end
          return true
        }
        if (parts[at]?.text.toLowerCase() !== word) return false
        at++
        return true
      })
      if (fits) return { text: other.replace(/\{verb\}|\{thing\}/gu, slot => held[slot]!), end: at }
    }
    return null
  }

  return (text: string): TranslatedText => {
    const parts = partsOf(text)
    const unknown: TranslatedText['unknown'] = []
    // A phrase or a tag is written small throughout, nouns too.
    const small = text === text.toLowerCase()
    let done = ''
    let opens = true
    for (let at = 0; at < parts.length;) {
      const { text: part, isWord } = parts[at]!
      const entry = isWord ? (patterned(parts, at) ?? longest(parts, at, all)) : null
      if (entry) {
        const shown = small ? entry.text.toLowerCase() : entry.text
        done += opens && part !== part.toLowerCase() ? capital(shown) : shown
        at = entry.end
      } else {
        if (isWord) unknown.push({ start: done.length, end: done.length + part.length })
        done += part
        at++
      }
      if (isWord) opens = false
      else if (/[.!?:\n]/u.test(part)) opens = true
    }
    return { text: done, unknown }
  }
}

const READERS = new Map(Object.entries({ de: reader(de), es: reader(es) }))

/** The dictionary that stands in for a translation service. */
export function dictionary({ call, answer }: Answering): Translation {
  return {
    languages: call(() => answer(SOURCE, { pairs: [...READERS.keys()].map(to => ({ from: FROM, to })), note: NOTE })),
    translate: call((texts: string[], from: string, to: string): Answer<TranslatedText[] | null> => {
      const read = from.split('-')[0] === FROM ? READERS.get(to.split('-')[0]!) : undefined
      return answer(SOURCE, read ? texts.map(read) : null)
    }),
  }
}
