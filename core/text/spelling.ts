import { isMisspelt } from './misspelt'
import { remembering } from './remembering'
import { stemmerFor } from './stems'
import { words } from './words'

const cut = remembering(4000, (text: string) => {
  const norms = words(text).map(word => word.norm)
  return { norms, spaced: norms.join(' '), joined: norms.join('') }
})

/**
 * Whether two phrases could be spellings of one: their words joined or split otherwise, or one or two words with a
 * letter or two wrong. Forms of one word are no misspellings, and whether the two mean the same the texts alone cannot
 * tell.
 *
 * @param language BCP 47.
 */
export function areSpellings(one: string, other: string, language: string): boolean {
  const [first, second] = [cut(one), cut(other)]
  if (first.spaced === second.spaced) return false
  if (first.joined === second.joined) return true
  const [a, b] = [first.norms, second.norms]
  if (a.length !== b.length) return false
  const stem = stemmerFor(language)
  const differing = a.flatMap((word, i) => (word === b[i] ? [] : [[word, b[i]!] as const]))
  return differing.length <= 2 && differing.every(([x, y]) => stem(x) !== stem(y) && isMisspelt(x, y))
}
