import { mistakes } from '../text/misspelt'
import { stemmerFor } from '../text/stems'

/** A word that fewer phrases hold may itself be misspelt. */
const KNOWN = 3
/** A correction is held by so many times as many phrases as what it corrects. */
const TIMES = 5
/** Shorter words have too many neighbours for any of them to be meant. */
const SHORTEST = 4
/** From this length on two letters may be wrong. */
const LONG = 6
/** Corrections of one word. */
const CORRECTIONS = 3

/**
 * The words of all phrases of a language, with how many phrases hold each: by their stems, and by what they are easily
 * mistaken for.
 */
export class Vocabulary {
  private readonly held = new Map<string, number>()
  private readonly byStem = new Map<string, string[]>()
  /** Words by their first letter and their length: most mistakes leave both nearly as they are. */
  private readonly byShape = new Map<string, string[]>()
  private readonly stem: (norm: string) => string

  /** @param words each with the number of phrases that hold it. @param language BCP 47. */
  constructor(words: Iterable<readonly [norm: string, phrases: number]>, language: string) {
    this.stem = stemmerFor(language)
    for (const [norm, phrases] of words) {
      this.held.set(norm, phrases)
      put(this.byStem, this.stem(norm), norm)
      if (phrases >= KNOWN) put(this.byShape, shape(norm[0]!, norm.length), norm)
    }
  }

  get size(): number {
    return this.held.size
  }
  /** How many phrases hold a word. */
  phrases(norm: string): number {
    return this.held.get(norm) ?? 0
  }
  /** Whether enough phrases hold a word for it to be none's misspelling. */
  isKnown(norm: string): boolean {
    return this.phrases(norm) >= KNOWN
  }
  /** All words with the stem of one, itself included where it is one of them. */
  forms(norm: string): string[] {
    return this.byStem.get(this.stem(norm)) ?? []
  }

  /**
   * Words that may have been meant by one that hardly any phrase holds, the nearest first and of those the most held.
   */
  corrections(norm: string): string[] {
    if (norm.length < SHORTEST || /\d/u.test(norm)) return []
    const most = norm.length >= LONG ? 2 : 1
    const least = Math.max(KNOWN, TIMES * this.phrases(norm))
    const found: { word: string; away: number }[] = []
    for (let length = norm.length - most; length <= norm.length + most; length++) {
      for (const word of this.byShape.get(shape(norm[0]!, length)) ?? []) {
        if (word === norm || this.phrases(word) < least) continue
        const away = mistakes(norm, word)
        if (away <= most) found.push({ word, away })
      }
    }
    return found
      .sort((a, b) => a.away - b.away || this.phrases(b.word) - this.phrases(a.word))
      .slice(0, CORRECTIONS)
      .map(each => each.word)
  }

  /** The two words that one may have been meant to be, the most held ones; `null` where there are none. */
  split(norm: string): [string, string] | null {
    let best: [string, string] | null = null
    const weight = (pair: [string, string]) => Math.min(this.phrases(pair[0]), this.phrases(pair[1]))
    for (let at = 3; at <= norm.length - 3; at++) {
      const pair: [string, string] = [norm.slice(0, at), norm.slice(at)]
      if (pair.every(word => this.isKnown(word)) && (!best || weight(pair) > weight(best))) best = pair
    }
    return best
  }
}

const shape = (first: string, length: number) => `${first}${length}`

function put(map: Map<string, string[]>, key: string, word: string): void {
  const list = map.get(key)
  if (list) list.push(word)
  else map.set(key, [word])
}
