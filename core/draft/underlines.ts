import { match, readPhrase, readText, runs } from '../text/match'

/** A stretch of a text to underline; `phrase` is the phrase's index in the list given. */
export interface Underline {
  start: number
  end: number
  exact: boolean
  phrase: number
}

/**
 * Where phrases stand in a text: all exact and inflected places of each, else its best loose
 * match. Stretches never overlap: exact before close, then the order of the phrases.
 */
export function underlines(raw: string, phrases: readonly string[], language: string): Underline[] {
  const text = readText(raw, language)
  const wanted: Underline[] = []
  phrases.forEach((each, phrase) => {
    const read = readPhrase(each, language)
    const exact = runs(read, text, 'exact')
    for (const range of exact) wanted.push({ ...range, exact: true, phrase })
    const close = read.content.length ? runs(read, text, 'inflected') : []
    for (const range of close) wanted.push({ ...range, exact: false, phrase })
    if (!exact.length && !close.length)
      for (const range of match(read, text).ranges) wanted.push({ ...range, exact: false, phrase })
  })
  wanted.sort((a, b) => Number(b.exact) - Number(a.exact) || a.phrase - b.phrase || a.start - b.start)
  const kept: Underline[] = []
  for (const each of wanted) if (!kept.some(other => each.start < other.end && other.start < each.end)) kept.push(each)
  return kept.sort((a, b) => a.start - b.start)
}
