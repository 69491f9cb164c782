import { words } from '../text/words'

/** As many parts of the names: a set that grows is built anew as a whole, which takes 60 ms at half a million. */
const PARTS = 64

/** The part a key belongs to. */
function partOf(key: string): number {
  let sum = key.length
  for (let i = 0; i < key.length; i++) sum = (sum * 31 + key.charCodeAt(i)) | 0
  return (sum >>> 0) % PARTS
}

/** Names of places by their words, to be found among the words of a phrase. */
export class PlaceNames {
  private readonly names = Array.from({ length: PARTS }, () => new Set<string>())
  /** By the first word: the most words that a name has which begins with it. */
  private readonly longest = Array.from({ length: PARTS }, () => new Map<string, number>())

  constructor(names: Iterable<string> = []) {
    for (const name of names) this.add(name)
  }

  add(name: string): void {
    const norms = words(name).map(word => word.norm)
    const [first] = norms
    if (first === undefined) return
    const joined = norms.join(' ')
    this.names[partOf(joined)]!.add(joined)
    const longest = this.longest[partOf(first)]!
    longest.set(first, Math.max(longest.get(first) ?? 0, norms.length))
  }

  /** The first place that normalised words name, or `null`. Of two that begin alike the longer one is meant. */
  in(norms: readonly string[]): string | null {
    for (let at = 0; at < norms.length; at++) {
      const longest = this.longest[partOf(norms[at]!)]!.get(norms[at]!) ?? 0
      for (let length = Math.min(longest, norms.length - at); length > 0; length--) {
        const name = norms.slice(at, at + length).join(' ')
        if (this.names[partOf(name)]!.has(name)) return name
      }
    }
    return null
  }
}
