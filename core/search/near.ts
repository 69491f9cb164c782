import type { Vocabulary } from './vocabulary'

/** Another way to read a seed: phrases must hold a word of each group. `why` says what was changed. */
export interface NearReading {
  groups: string[][]
  why: string
}

/**
 * Ways to read a seed that finds nothing: other forms of its words, spelling corrected, words joined or split, and last
 * with a word left out. The likeliest comes first.
 *
 * @param norms the seed's words, normalised.
 */
export function nearReadings(norms: readonly string[], vocabulary: Vocabulary): NearReading[] {
  const readings: NearReading[] = []
  const add = (groups: string[][], changes: string[]) => {
    if (groups.length && changes.length && groups.every(group => group.length))
      readings.push({ groups, why: changes.join(', ') })
  }

  // Each word in every form that phrases hold; a word in no known form by what it may have been meant to be.
  const changes: string[] = []
  const corrected = norms.map(norm => {
    const forms = vocabulary.forms(norm).filter(form => vocabulary.isKnown(form))
    if (forms.length) {
      const others = forms.filter(form => form !== norm)
      if (others.length)
        changes.push(
          `“${norm}” also as ${others
            .slice(0, 3)
            .map(form => `“${form}”`)
            .join(', ')}`,
        )
      return forms
    }
    const [best] = vocabulary.corrections(norm)
    if (!best) return []
    changes.push(`“${norm}” read as “${best}”`)
    return vocabulary.forms(best).filter(form => vocabulary.isKnown(form))
  })
  add(corrected, changes)

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

  // Most of the words: the one that the fewest phrases hold is left out first.
  const held = (group: readonly string[]) => group.reduce((sum, word) => sum + vocabulary.phrases(word), 0)
  if (norms.length > 1) {
    for (const i of [...norms.keys()].sort((a, b) => held(corrected[a]!) - held(corrected[b]!)))
      add(
        corrected.filter((_, n) => n !== i),
        [`without “${norms[i]!}”`],
      )
  }
  return readings
}
