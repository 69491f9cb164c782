import { primaryLanguage } from '../text/stems'
import { wordCount } from '../text/words'
import { CLEANING } from './cleanWords'
import type { Captions } from './cue'

/** What does not belong in a text to read, each kind taken out or left by itself. */
export const CLEAN_KINDS = ['speakers', 'sounds', 'fillers', 'repeats', 'video'] as const
export type CleanKind = (typeof CLEAN_KINDS)[number]
export const CLEAN_NAMES: Record<CleanKind, string> = {
  speakers: 'Speaker marks',
  sounds: 'Sounds',
  fillers: 'Fillers',
  repeats: 'Repeats',
  video: 'Lines for the video only',
}

export interface Removed {
  kind: CleanKind
  count: number
  /** What was taken out, in order. */
  pieces: string[]
}

export interface CleanText {
  /** Paragraphs with an empty line between; with chapters, each under its heading in Markdown. */
  text: string
  removed: Removed[]
}

export interface CleanQuestion {
  /** BCP 47: fillers and lines for the video are known in some languages. */
  language: string
  remove?: readonly CleanKind[]
  /** Headings by their time in seconds, rising. */
  chapters?: readonly { start: number; title: string }[]
}

/** A pause that ends a sentence where nobody wrote a full stop, in seconds. */
const PAUSE = 0.7
/** A paragraph ends after so many words, at the end of a sentence. */
const PARAGRAPH = 90
/** A longer sentence is one only for want of full stops: it does not go for a few words in it. */
const LONGEST_LINE = 40
/** Captions with fewer sentence ends than one for so many words were written without punctuation. */
const WORDS_PER_END = 45

/** A mark of who speaks at the beginning of a line: a sign, a name in capitals, or both; after a sign any name. */
const SPEAKER =
  /^(?:>{1,3}[ \t]*(?:\p{Lu}[\p{L}.'’ -]{0,30}:[ \t]+)?|[-–—][ \t]*|\p{Lu}[\p{Lu}.'’ -]{1,30}:[ \t]+(?=\P{Lu}))/gmu
const SOUND = /\[[^[\]\n]{1,60}\]|\([^()\n]{1,40}\)|[♪♫♬][^♪♫♬\n]{0,120}[♪♫♬]?/gu
/** In brackets a sound is named; other brackets are part of what is said. */
const END = /[.!?…。！？]["'”’»)]?$/u
/** A word said twice, or two words said twice; numbers are no slips. */
const REPEAT = /(?<![\p{L}\p{N}'’-])([\p{L}'’]{1,30}(?: [\p{L}'’]{1,30})?)(?:[,…]? \1)+(?![\p{L}\p{N}'’-])/giu

const escape = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/gu, '\\$&')
const listed = (list: readonly string[]) => list.map(escape).join('|')

interface Signs {
  filler: RegExp | null
  video: RegExp | null
  sounds: ReadonlySet<string>
}
const known = new Map<string, Signs>()
function signsOf(language: string): Signs {
  const key = primaryLanguage(language)
  let signs = known.get(key)
  if (!signs) {
    const { fillers = [], video = [], sounds = [] } = CLEANING[key] ?? {}
    const unspaced = key === 'ja'
    known.set(
      key,
      (signs = {
        filler: fillers.length
          ? unspaced
            ? new RegExp(`(?:${listed(fillers)})[、,]?`, 'gu')
            : new RegExp(`(?<![\\p{L}\\p{N}'’-])(?:${listed(fillers)})(?![\\p{L}\\p{N}'’-])[,…]?`, 'giu')
          : null,
        video: video.length ? new RegExp(listed(video), 'iu') : null,
        sounds: new Set(sounds),
      }),
    )
  }
  return signs
}

/** Whether a sentence only works on video: it asks to subscribe, or points at what is seen. @param language BCP 47. */
export const isForVideoOnly = (sentence: string, language: string): boolean =>
  signsOf(language).video?.test(sentence) ?? false

/** A text with the words of its removals noted. */
function taken(
  text: string,
  pattern: RegExp,
  pieces: string[],
  by: string,
  is: (piece: string) => boolean = () => true,
) {
  return text.replace(pattern, (piece: string) => {
    if (!is(piece)) return piece
    pieces.push(piece.trim())
    return by
  })
}

/** What is left of a sentence, made one again: spaces, commas and capitals. */
function mended(sentence: string, language: string): string {
  const text = sentence
    .replace(/\s+/gu, ' ')
    .replace(/ ([,.;:!?…])/gu, '$1')
    .replace(/([,;:])(?:\s?[,;:])+/gu, '$1')
    .replace(/[,;:]\s?([.!?])/gu, '$1')
    .replace(/^[\s,;:.–—-]+/u, '')
    .trim()
  const first = /\p{L}/u.exec(text)
  return first && first.index < 3
    ? text.slice(0, first.index) + first[0].toLocaleUpperCase(language) + text.slice(first.index + first[0].length)
    : text
}

/**
 * Captions as a text to read: what only works on video is taken out, kind by kind, sentences and capitals are put
 * back, and paragraphs made; with chapters each has its heading. An article's first draft: nothing is added to what
 * was said.
 */
export function cleanText({ cues, timed }: Captions, question: CleanQuestion): CleanText {
  const { language, remove = CLEAN_KINDS, chapters = [] } = question
  const signs = signsOf(language)
  const pieces = new Map<CleanKind, string[]>(remove.map(kind => [kind, []]))
  const said = cues.map(cue => {
    let text = cue.text
    const sounds = pieces.get('sounds')
    if (sounds)
      text = taken(text, SOUND, sounds, ' ', piece => !piece.startsWith('(') || signs.sounds.has(inner(piece)))
    const speakers = pieces.get('speakers')
    if (speakers) text = taken(text.trim(), SPEAKER, speakers, '')
    return { ...cue, text: text.replace(/\s+/gu, ' ').trim() }
  })
  const spokenCues = said.filter(cue => cue.text)
  const words = spokenCues.reduce((sum, cue) => sum + wordCount(cue.text), 0)
  const ends = spokenCues.reduce((sum, cue) => sum + (cue.text.match(/[.!?…。！？]/gu)?.length ?? 0), 0)
  const unpunctuated = ends * WORDS_PER_END < words

  /** Sentences, each with the time it begins. */
  const sentences: { start: number; text: string }[] = []
  let now: string[] = []
  let start = 0
  const finish = (end = '') => {
    const text = now.join('').trim()
    if (text) sentences.push({ start, text: text + end })
    now = []
  }
  const heads = [...chapters]
  for (const [i, cue] of spokenCues.entries()) {
    // A heading stands between sentences, never within one.
    while (timed && heads.length && heads[0]!.start <= cue.start + 0.01) {
      if (unpunctuated) finish('.')
      heads.shift()
    }
    for (const part of cue.text.split(/(?<=[.!?…]["'”’»)]?)\s+|(?<=[。！？])/u)) {
      if (!now.length) start = cue.start
      if (now.length && !/[。、]$/u.test(now.at(-1)!)) now.push(' ')
      now.push(part)
      if (END.test(part)) finish()
    }
    const next = spokenCues[i + 1]
    if (unpunctuated && timed && next && next.start - cue.end >= PAUSE) finish('.')
  }
  finish(unpunctuated ? '.' : '')

  const kept = sentences.flatMap(({ start, text }) => {
    const video = pieces.get('video')
    if (video && signs.video?.test(text) && wordCount(text) <= LONGEST_LINE) {
      video.push(text)
      return []
    }
    const fillers = pieces.get('fillers')
    let left = fillers && signs.filler ? taken(text, signs.filler, fillers, '') : text
    const repeats = pieces.get('repeats')
    if (repeats)
      left = left.replace(/\s+/gu, ' ').replace(REPEAT, (piece: string, once: string) => {
        repeats.push(piece)
        return once
      })
    left = mended(left, language)
    return /[\p{L}\p{N}]/u.test(left) ? [{ start, text: left }] : []
  })
  return {
    text: paragraphs(kept, timed ? chapters : []),
    removed: [...pieces]
      .filter(([, list]) => list.length)
      .map(([kind, list]) => ({ kind, count: list.length, pieces: list })),
  }
}
const inner = (piece: string) => piece.slice(1, -1).trim().toLowerCase()

function paragraphs(
  sentences: readonly { start: number; text: string }[],
  chapters: readonly { start: number; title: string }[],
): string {
  const blocks: string[] = []
  let now: string[] = []
  let length = 0
  const finish = () => {
    if (now.length) blocks.push(now.join(/[。！？]$/u.test(now[0]!) ? '' : ' '))
    now = []
    length = 0
  }
  let next = 0
  for (const { start, text } of sentences) {
    while (next < chapters.length && chapters[next]!.start <= start + 0.01) {
      finish()
      if (chapters[next]!.title.trim()) blocks.push(`## ${chapters[next]!.title.trim()}`)
      next++
    }
    now.push(text)
    length += wordCount(text)
    if (length >= PARAGRAPH) finish()
  }
  finish()
  return blocks.join('\n\n')
}
