import { segments } from '../text/segments'
import { toMs, type Cue } from './cue'

/** What is said in a second, in characters: some 150 words a minute in scripts with spaces between them. */
const PER_SECOND = 14.5
/** A sign of a script without spaces is a syllable or a word. */
const WIDE_SIGN = 2.8
/** The breath after a sentence, and after a comma, counted as characters. */
const [SENTENCE_PAUSE, CLAUSE_PAUSE] = [7, 3]
/** Characters of a cue at most: two lines. */
const LONGEST = 84
/** Cues follow each other so closely at least, as a share of their time. */
const SHOWN = 0.96

const WIDE = /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}\p{Script=Thai}]/u
const SENTENCE_END = /[.!?…。！？]["'”’»)\]]{0,2}$/u
const CLAUSE_END = /[,;:–—、，；：]$/u

/** How long the signs of a text take to say, as characters of a script with spaces. */
function spokenSigns(text: string): number {
  let sum = 0
  for (const sign of text) sum += WIDE.test(sign) ? WIDE_SIGN : 1
  return sum
}
/** How long one breathes after it, in the same unit. */
const pauseAfter = (text: string) =>
  SENTENCE_END.test(text) ? SENTENCE_PAUSE : CLAUSE_END.test(text) ? CLAUSE_PAUSE : 0

/** What one cue says, and how long that takes with the breath after it. */
interface Piece {
  text: string
  weight: number
}

/** A line cut where one may breathe: at words, after a sentence or a comma by preference. */
function pieces(line: string): Piece[] {
  const unspaced = WIDE.test(line) && !/\S\s\S/u.test(line)
  const words = unspaced ? [...segments(line, 'word')].map(each => each.text) : line.split(/\s+/u).filter(Boolean)
  const joint = unspaced ? '' : ' '
  const found: Piece[] = []
  let text = ''
  let signs = 0
  let pause = 0
  const take = () => {
    if (text) found.push({ text, weight: signs + pause })
  }
  for (const word of words) {
    const more = spokenSigns(word)
    const pauseThen = pauseAfter(word)
    const full = signs + joint.length + more + pauseThen > LONGEST
    const breathes = pause === SENTENCE_PAUSE && signs + pause > LONGEST / 3
    if (!text || full || breathes) {
      take()
      text = word
      signs = more
    } else {
      text += joint + word
      signs += joint.length + more
    }
    pause = pauseThen
  }
  take()
  return found
}

/**
 * A script without times as cues: spread over the video's length by how long its words take and where sentences end.
 *
 * @param seconds the video's length; without it the usual speed of speech.
 * @returns none for a text without words.
 */
export function spread(script: string, seconds?: number): Cue[] {
  const found = script.split('\n').flatMap(line => pieces(line.trim()))
  if (!found.some(({ text }) => /[\p{L}\p{N}]/u.test(text))) return []
  const all = found.reduce((sum, { weight }) => sum + weight, 0)
  const scale = (seconds && seconds > 0 ? seconds : all / PER_SECOND) / all
  let at = 0
  return found.map(({ text, weight }) => {
    const start = at
    at += weight * scale
    return { start: toMs(start), end: toMs(start + weight * scale * SHOWN), text }
  })
}
