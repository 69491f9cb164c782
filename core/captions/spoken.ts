import { match, readPhrase, readText, runs, type Grade, type ReadText } from '../text/match'
import { spokenText, type Captions } from './cue'

/** Where a phrase is spoken. */
export interface Spoken {
  phrase: string
  /** How often it is said, word for word or with other endings. */
  count: number
  /** Seconds at which it is first said so; `null` where it is not, or the times are not known. */
  first: number | null
  /** The cue in which that is; `null` where it is not said so. */
  cue: number | null
  /** Its best standing in all that is said. */
  grade: Grade
}

/** Words of one language read once for each captions, however often they are asked. */
const read = new WeakMap<Captions, Map<string, ReadText>>()

/** All that is said, read for matching; its n-th line is the n-th cue. */
export function spokenWords(captions: Captions, language: string): ReadText {
  let byLanguage = read.get(captions)
  if (!byLanguage) read.set(captions, (byLanguage = new Map()))
  let text = byLanguage.get(language)
  if (!text) byLanguage.set(language, (text = readText(spokenText(captions.cues), language)))
  return text
}

/** The cue that a place in the spoken text belongs to. */
export function cueAt(text: ReadText, offset: number): number {
  let line = 0
  for (let at = text.raw.indexOf('\n'); at >= 0 && at < offset; at = text.raw.indexOf('\n', at + 1)) line++
  return line
}

/** Where each phrase is spoken, first and how often; a phrase may go on from one cue to the next. */
export function spoken(captions: Captions, phrases: readonly string[], language: string): Spoken[] {
  const text = spokenWords(captions, language)
  return phrases.map(raw => {
    const phrase = readPhrase(raw, language)
    const found = runs(phrase, text, 'inflected')
    const cue = found.length ? cueAt(text, found[0]!.start) : null
    return {
      phrase: raw,
      count: found.length,
      first: cue === null || !captions.timed ? null : captions.cues[cue]!.start,
      cue,
      grade: match(phrase, text).grade,
    }
  })
}
