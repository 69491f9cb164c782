/** A part of a text: where it starts, in UTF-16 offsets, and what it reads. */
export interface Segment {
  start: number
  text: string
  /** Letters or digits; always false where graphemes were asked for. */
  word: boolean
}

/** Units looked at in one go: `Intl.Segmenter` takes time by the square of what it is given. */
const WINDOW = 256

const segmenters = new Map<string, Intl.Segmenter>()

function segmenterOf(granularity: 'word' | 'grapheme'): Intl.Segmenter {
  let segmenter = segmenters.get(granularity)
  if (!segmenter) segmenters.set(granularity, (segmenter = new Intl.Segmenter('en', { granularity })))
  return segmenter
}

/**
 * The parts of a text in order, by Unicode's rules (annex 29) and, for scripts without spaces, by dictionary.
 *
 * Cut window by window, each beginning where the last whole part ended, so that the time grows with the text's length.
 * A part longer than a window, as a row of a thousand joined signs, comes in pieces.
 *
 * @param granularity `word` or `grapheme`.
 */
export function* segments(text: string, granularity: 'word' | 'grapheme'): Generator<Segment> {
  const segmenter = segmenterOf(granularity)
  for (let from = 0; from < text.length;) {
    let upTo = Math.min(text.length, from + WINDOW)
    // A sign of two units stays whole.
    if (upTo < text.length && text.codePointAt(upTo - 1)! > 0xffff) upTo--
    const open = upTo < text.length
    let held: Segment | undefined
    for (const part of segmenter.segment(text.slice(from, upTo))) {
      if (held) yield held
      held = { start: from + part.index, text: part.segment, word: part.isWordLike ?? false }
    }
    // What reaches the window's end may go on behind it, unless it is the whole window.
    if (open && held && held.start > from) from = held.start
    else {
      if (held) yield held
      from = upTo
    }
  }
}

/** Where the sign begins that stands at an offset: cuts made there leave it whole. */
export const signStart = (text: string, at: number): number =>
  segmenterOf('grapheme').segment(text).containing(at)!.index
