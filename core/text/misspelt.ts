import { distance } from 'fastest-levenshtein'

/**
 * Mistakes between two words: letters changed, left out or added; two neighbouring letters in each other's place are
 * one.
 */
export const mistakes = (a: string, b: string): number => (swapped(a, b) ? 1 : distance(a, b))

function swapped(a: string, b: string): boolean {
  if (a.length !== b.length) return false
  let at = 0
  while (at < a.length && a[at] === b[at]) at++
  return at < a.length - 1 && a[at] === b[at + 1] && a[at + 1] === b[at] && a.slice(at + 2) === b.slice(at + 2)
}

/** Shorter words have too many neighbours to be told from their misspellings. */
const SHORTEST = 4
/** From this length on two letters may be wrong. */
const LONG = 6
const HAS_DIGIT = /\d/u

/** Whether one word is another with a letter or two wrong, by their length. */
export function isMisspelt(a: string, b: string): boolean {
  const longest = Math.max(a.length, b.length)
  // A number is never a misspelling of another one.
  return (
    Math.min(a.length, b.length) >= SHORTEST &&
    !HAS_DIGIT.test(a) &&
    !HAS_DIGIT.test(b) &&
    mistakes(a, b) <= (longest >= LONG ? 2 : 1)
  )
}
