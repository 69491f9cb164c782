import type { Cue } from '../captions/cue'
import { readPhrase } from '../text/match'

/** Something a card could lead to. */
export interface Mentionable {
  id: string
  title: string
}
/** Where it is mentioned. */
export interface Moment<Target extends Mentionable = Mentionable> {
  target: Target
  /** Seconds from the beginning. */
  at: number
  /** What is said there. */
  text: string
  /** The share of what its title tells that is said there, 0 to 1. */
  share: number
}

/** A title counts as mentioned when at least so much of what it tells is said at once. */
const MENTIONED = 0.6
/** What is said at once: a cue and the next one. */
const AT_ONCE = 2

/**
 * Where titles are mentioned in what is spoken, the clearest first, each title once. A word tells the more the fewer
 * cues say it: what the whole video is about points at nothing else.
 */
export function momentsOf<Target extends Mentionable>(
  targets: readonly Target[],
  cues: readonly Cue[],
  language: string,
): Moment<Target>[] {
  const said = cues.map(({ text }) => new Set(readPhrase(text, language).content))
  const heard = new Map<string, number>()
  for (const words of said) for (const word of words) heard.set(word, (heard.get(word) ?? 0) + 1)
  /** Nothing for a word that every cue says; one that is never said still belongs to its title. */
  const weight = (word: string) => Math.log((cues.length + 1) / ((heard.get(word) ?? 0) + 1))
  const moments = targets.flatMap((target): Moment<Target>[] => {
    const words = [...new Set(readPhrase(target.title, language).content)]
    const all = words.reduce((sum, word) => sum + weight(word), 0)
    if (!(all > 0)) return []
    const told = (some: readonly string[]) => some.reduce((sum, word) => sum + weight(word), 0) / all
    let best: { at: number; share: number; own: number } | null = null
    for (let i = 0; i < cues.length; i++) {
      const here = words.filter(word => said.slice(i, i + AT_ONCE).some(set => set.has(word)))
      // One word of several is no mention.
      if (here.length < Math.min(2, words.length) || !words.some(word => said[i]!.has(word))) continue
      const share = told(here)
      // Of two cues with the same one between them, the one that says more of it by itself.
      const own = told(words.filter(word => said[i]!.has(word)))
      if (share >= MENTIONED && (!best || share > best.share || (share === best.share && own > best.own)))
        best = { at: i, share, own }
    }
    return best ? [{ target, at: cues[best.at]!.start, text: cues[best.at]!.text, share: best.share }] : []
  })
  return moments.sort((one, other) => other.share - one.share || one.at - other.at)
}
