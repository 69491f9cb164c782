import { gapFor } from '../descriptions/gaps'

/** A translated text, with the stretches that were left as they were: UTF-16, half-open, in order. */
export interface TranslatedText {
  text: string
  unknown: { start: number; end: number }[]
}

/** A translation in which what nobody knew is a gap that names the word: `[… sprocket]`. */
export function withGaps({ text, unknown }: TranslatedText): string {
  let done = ''
  let at = 0
  for (const { start, end } of unknown) {
    if (start < at || end > text.length || end <= start) continue
    done += text.slice(at, start) + gapFor(text.slice(start, end))
    at = end
  }
  return done + text.slice(at)
}
