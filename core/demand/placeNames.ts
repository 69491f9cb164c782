import { words } from '../text/words'

/** Names of places by their words, to be found among the words of a phrase. */
export class PlaceNames {
  /** By the first word: the names that begin with it, and the most words one of them has. */
  private readonly byFirst = new Map<string, { names: Set<string>, most: number }>()

  constructor(names: Iterable<string> = []) { for (const name of names) this.add(name) }

  add(name: string): void {
    const norms = words(name).map(word => word.norm)
    if (!norms.length) return
    const joined = norms.join(' ')
    const others = this.byFirst.get(norms[0]!)
    if (!others) return void this.byFirst.set(norms[0]!, { names: new Set([joined]), most: norms.length })
    others.names.add(joined)
    others.most = Math.max(others.most, norms.length)
  }

  /** The first place that normalised words name, or `null`. Of two that begin alike the longer one is meant. */
  in(norms: readonly string[]): string | null {
    for (let at = 0; at < norms.length; at++) {
      const found = this.byFirst.get(norms[at]!)
      if (!found) continue
      for (let length = Math.min(found.most, norms.length - at); length > 0; length--) {
        const name = norms.slice(at, at + length).join(' ')
        if (found.names.has(name)) return name
      }
    }
    return null
  }
}
