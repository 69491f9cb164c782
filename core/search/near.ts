import type { Vocabulary } from './vocabulary'

/** Another way to read a seed: phrases must hold a word of each group. `why` says what was changed. */
export interface NearReading {
  groups: string[][]
  why: string
}

/** What a seed that finds nothing may have meant. */
export interface NearSeed {
  /** Ways to read all of it, the likeliest first: other forms, spelling corrected, words joined or split. */
  readings: NearReading[]
  /** Each of its words in the forms that phrases hold, the spelling corrected; empty where it is like no known word. */
  words: string[][]
  /** What was changed of each word to come by its forms; `null` where nothing was. */
  changes: (string | null)[]
}

/** @param norms the seed's words, normalised. */
export function nearSeed(norms: readonly string[], vocabulary: Vocabulary): NearSeed {
  const readings: NearReading[] = []
  const add = (groups: string[][], changes: string[]) => {
    if (groups.length && changes.length && groups.every(group => group.length))
      readings.push({ groups, why: changes.join(', ') })
  }

  // Each word in every form that phrases hold; a word in no known form by what it may have been meant to be.
  const changes: (string | null)[] = norms.map(() => null)
  const corrected = norms.map((norm, at) => {
    const forms = vocabulary.forms(norm).filter(form => vocabulary.isKnown(form))
    if (forms.length) {
      const others = forms.filter(form => form !== norm)
      if (others.length)
        changes[at] = `“${norm}” also as ${others
          .slice(0, 3)
          .map(form => `“${form}”`)
          .join(', ')}`
      return forms
    }
    const [best] = vocabulary.corrections(norm)
    if (!best) return []
    changes[at] = `“${norm}” read as “${best}”`
    return vocabulary.forms(best).filter(form => vocabulary.isKnown(form))
  })
  add(
    corrected,
    changes.filter(change => change !== null),
  )

  for (const [i, norm] of norms.entries()) {
    const groups = (instead: string[][], width: number) => [
      ...corrected.slice(0, i),
      ...instead,
      ...corrected.slice(i + width),
    ]
    const joined = norm + (norms[i + 1] ?? '')
    if (i + 1 < norms.length && vocabulary.isKnown(joined))
      add(groups([[joined]], 2), [`“${norm} ${norms[i + 1]!}” joined`])
    const parts = vocabulary.split(norm)
    if (parts && !vocabulary.isKnown(norm))
      add(
        groups(
          parts.map(part => [part]),
          1,
        ),
        [`“${norm}” split`],
      )
    for (const other of corrected[i]!.length && vocabulary.isKnown(norm) ? [] : vocabulary.corrections(norm).slice(1))
      add(groups([[other]], 1), [`“${norm}” read as “${other}”`])
  }
  return { readings, words: corrected, changes }
}
