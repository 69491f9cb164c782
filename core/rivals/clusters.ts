/** A phrase with the videos of its first page, best first. */
export interface PhrasePage<Id> {
  phrase: string
  volume: number | null
  ids: readonly Id[]
}

export interface PhraseCluster {
  /** The most searched of them, by which the others were joined. */
  head: string
  phrases: string[]
  /** Searches a month in all, unknown ones left out. */
  volume: number
}

const SEATS = 20
/** Pages that share this much are won by the same video (Jaccard of the first twenty). */
export const SHARED = 0.3

/**
 * Groups phrases whose result pages share videos: one video can win them together. The most searched
 * phrase heads a group and takes in those that share enough with *it*, so that no chain of
 * likenesses joins two phrases whose pages have nothing in common.
 *
 * Cost: one pass over the seats with an index from video to heads; pages with nothing in common are
 * never compared.
 *
 * @returns groups of two or more, by falling volume; a phrase stands in one at most.
 */
export function clusterPhrases<Id>(pages: readonly PhrasePage<Id>[], least = SHARED): PhraseCluster[] {
  const ranked = [...pages]
    .filter(page => page.ids.length > 0)
    .sort((a, b) => (b.volume ?? -1) - (a.volume ?? -1) || (a.phrase < b.phrase ? -1 : 1))
  const heads: { page: PhrasePage<Id>; members: PhrasePage<Id>[]; size: number }[] = []
  const headsWith = new Map<Id, number[]>()
  for (const page of ranked) {
    const ids = new Set(page.ids.slice(0, SEATS))
    const shared = new Map<number, number>()
    for (const id of ids) for (const head of headsWith.get(id) ?? []) shared.set(head, (shared.get(head) ?? 0) + 1)
    let best: { head: number; like: number } | null = null
    for (const [head, n] of shared) {
      const like = n / (ids.size + heads[head]!.size - n)
      if (like >= least && (!best || like > best.like)) best = { head, like }
    }
    if (best) {
      heads[best.head]!.members.push(page)
      continue
    }
    for (const id of ids) headsWith.set(id, [...(headsWith.get(id) ?? []), heads.length])
    heads.push({ page, members: [page], size: ids.size })
  }
  return heads
    .filter(head => head.members.length > 1)
    .map(({ page, members }) => ({
      head: page.phrase,
      phrases: members.map(each => each.phrase),
      volume: members.reduce((sum, each) => sum + (each.volume ?? 0), 0),
    }))
    .sort((a, b) => b.volume - a.volume)
}
