import { remembering } from '../text/remembering'
import { isMisspelt } from '../text/misspelt'
import { words } from '../text/words'

/** How well a word answers one that was typed. */
const SAME = 3
const BEGINS = 2
const MISSPELT = 1
/** A text that is all that was asked for stands above one that says more. */
const WHOLE = 0.5
/** A thing that is found by what else it says stands behind one that is called so. */
const BESIDE = 0.6

const cut = remembering(8000, (text: string) => words(text).map(({ norm }) => norm))

/** 0 where a word does not answer. */
function answers(asked: string, word: string): number {
  if (asked === word) return SAME
  if (word.startsWith(asked)) return BEGINS
  return isMisspelt(asked, word) ? MISSPELT : 0
}

/**
 * Finds things by their texts: every word that was typed has to be one of a text's words, its beginning, or a spelling
 * of it with a letter or two wrong. Order, case and accents do not matter.
 * @returns how well a text answers, more for better, with `also` as other words that it is found by; `null` where it
 * does not, or nothing was typed.
 */
export function matcher(asked: string): (text: string, also?: string) => number | null {
  const typed = cut(asked)
  const called = (text: string): number | null => {
    const said = cut(text)
    if (!typed.length || !said.length) return null
    let sum = 0
    for (const word of typed) {
      let best = 0
      for (const each of said) if (best < SAME) best = Math.max(best, answers(word, each))
      if (!best) return null
      sum += best
    }
    return sum / typed.length + WHOLE * Math.min(1, typed.length / said.length)
  }
  return (text, also = '') => {
    const score = called(text)
    if (score !== null || !also) return score
    const beside = called(`${text} ${also}`)
    return beside === null ? null : beside * BESIDE
  }
}
