import { words } from '../text/words'

/** Names of places by their words, to be found among the words of a phrase. */
export class PlaceNames {
  private readonly byFirst = new Map<string, string[][]>()

  constructor(names: Iterable<string> = []) {
    for (const name of names) {
      const norms = words(name).map(word => word.norm)
      if (!norms.length) continue
      const others = this.byFirst.get(norms[0]!)
      if (others) others.push(norms)
      else this.byFirst.set(norms[0]!, [norms])
    }
    // Of two that begin alike the longer one is meant.
    for (const list of this.byFirst.values()) list.sort((a, b) => b.length - a.length)
  }

  /** The first place that normalised words name, or `null`. */
  in(norms: readonly string[]): string | null {
    for (let at = 0; at < norms.length; at++) {
      const name = this.byFirst.get(norms[at]!)?.find(parts => parts.every((part, k) => norms[at + k] === part))
      if (name) return name.join(' ')
    }
    return null
  }
}
