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

/** How long a piece takes to say, as characters of a script with spaces. */
function weight(text: string): number {
  let sum = 0
  for (const sign of text) sum += WIDE.test(sign) ? WIDE_SIGN : 1
  return sum + (SENTENCE_END.test(text) ? SENTENCE_PAUSE : CLAUSE_END.test(text) ? CLAUSE_PAUSE : 0)
}

/** A line cut where one may breathe: at words, after a sentence or a comma by preference. */
function pieces(line: string): string[] {
  const signs = WIDE.test(line) && !/\S\s\S/u.test(line)
  const words = signs
    ? [...segments(line, 'word')].map(each => each.text)
    : line.split(/\s+/u).filter(Boolean)
  const joint = signs ? '' : ' '
  const found: string[] = []
  let now = ''
  for (const word of words) {
    const next = now ? now + joint + word : word
    const full = now !== '' && weight(next) > LONGEST
    const breathes = SENTENCE_END.test(now) && weight(now) > LONGEST / 3
    if (full || breathes) {
      found.push(now)
      now = word
    } else now = next
  }
  return now ? [...found, now] : found
}

/**
 * A script without times as cues: spread over the video's length by how long its words take and where sentences end.
 *
 * @param seconds the video's length; without it the usual speed of speech.
 * @returns none for a text without words.
 */
export function spread(script: string, seconds?: number): Cue[] {
  const texts = script.split('\n').flatMap(line => pieces(line.trim()))
  if (!texts.some(text => /[\p{L}\p{N}]/u.test(text))) return []
  const weights = texts.map(weight)
  const all = weights.reduce((sum, each) => sum + each, 0)
  const scale = (seconds && seconds > 0 ? seconds : all / PER_SECOND) / all
  let at = 0
  return texts.map((text, i) => {
    const start = at
    at += weights[i]! * scale
    return { start: toMs(start), end: toMs(start + weights[i]! * scale * SHOWN), text }
  })
}
