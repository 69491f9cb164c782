import { stemmerFor } from '../text/stems'
import { stopWords } from '../text/stopwords'
import { words } from '../text/words'

export interface MeaningSource {
  id: string
  /** Who published it. */
  channel: string
  title: string
  tags: string[] | null
}

/** Results that speak of the same matter, named by the words they share. */
export interface Meaning {
  /**
   * Up to three words, the most telling first, as they are written. Where there are several meanings, hardly any result
   * of the others uses them.
   */
  name: string[]
  ids: string[]
  /** Part of all results. */
  share: number
}

/** Clusters are joined while the mean likeness of their results is at least this. */
const LIKE = 0.05
/** A smaller cluster is no meaning of its own but a stray result: so many, and this part of all. */
const LEAST = 3
const LEAST_SHARE = 0.08
/** A word names a cluster when this part of it uses it. */
const NAMING = 0.3
/**
 * A meaning has words of its own: so many at least, each used by this part of its results and by hardly any of the
 * others. Results of one trade fall into clusters, too, by their fashions of wording, but share their words. Of 300
 * pages of the simulated site this takes 12 of the 234 of one trade for two, and finds half of the 66 of two.
 */
const OWN_WORDS = 2
const USED = 0.35
const USED_BY_OTHERS = 0.1

interface TermVector {
  vector: Map<string, number>
  length: number
}

/**
 * What a phrase means to those who publish for it: its results clustered by the words they share
 * beyond the phrase itself, from tags and titles: tags say what a video is about, titles also how it
 * wants to be clicked. Cosine of tf-idf, joined by average linkage. A phrase means two trades where two large clusters
 * have words of their own and no channel publishes in both.
 *
 * @returns clusters of at least three results, largest first; a single one when all speak of the same.
 */
export function meanings(phrase: string, results: readonly MeaningSource[], language: string): Meaning[] {
  if (results.length < LEAST) return []
  const stem = stemmerFor(language)
  const stops = stopWords(language)
  const own = new Set(words(phrase).map(word => stem(word.norm)))
  const written = new Map<string, Map<string, number>>()
  const bags = results.map(({ title, tags }) => {
    const bag = new Map<string, number>()
    for (const [text, weight] of [
      [title, tags?.length ? 0.5 : 1],
      ...(tags ?? []).map(tag => [tag, 1] as const),
    ] as const) {
      for (const { norm } of words(text)) {
        if (stops.has(norm) || norm.length < 2 || /^\d+$/u.test(norm)) continue
        const key = stem(norm)
        if (own.has(key)) continue
        bag.set(key, (bag.get(key) ?? 0) + weight)
        const forms = written.get(key) ?? new Map<string, number>()
        written.set(key, forms.set(norm, (forms.get(norm) ?? 0) + 1))
      }
    }
    return bag
  })
  const frequency = new Map<string, number>()
  for (const bag of bags) for (const key of bag.keys()) frequency.set(key, (frequency.get(key) ?? 0) + 1)
  const vectors = bags.map((bag): TermVector => {
    const vector = new Map<string, number>()
    let length = 0
    for (const [key, n] of bag) {
      const df = frequency.get(key)!
      if (df < 2) continue
      const weight = (1 + Math.log(Math.max(1, n))) * Math.min(1, n) * Math.log(results.length / df + 0.2)
      vector.set(key, weight)
      length += weight * weight
    }
    return { vector, length: Math.sqrt(length) }
  })
  const large = join(vectors).filter(cluster => cluster.length >= Math.max(LEAST, LEAST_SHARE * results.length))
  const named = apart(large, bags, frequency, results).map((cluster): Meaning => ({
    name: nameOf(cluster, bags, frequency, results.length, written),
    ids: cluster.map(i => results[i]!.id),
    share: cluster.length / results.length,
  }))
  return named.sort((a, b) => b.share - a.share)
}

/**
 * The clusters that are meanings of their own: those without words of their own, or with a channel of a larger one, are
 * taken into the largest.
 */
function apart(
  clusters: readonly number[][],
  bags: readonly Map<string, number>[],
  frequency: ReadonlyMap<string, number>,
  results: readonly MeaningSource[],
): number[][] {
  const [largest, ...others] = [...clusters].sort((a, b) => b.length - a.length)
  if (!largest) return []
  const hasWords = (cluster: readonly number[]) => {
    const inside = usersOf(cluster, bags)
    const outside = results.length - cluster.length
    const own = [...inside].filter(
      ([key, n]) => n >= USED * cluster.length && frequency.get(key)! - n <= USED_BY_OTHERS * outside,
    )
    return own.length >= OWN_WORDS
  }
  if (!hasWords(largest)) return [[...largest, ...others.flat()]]
  const meanings = [[...largest]]
  for (const cluster of others) {
    const channels = new Set(cluster.map(i => results[i]!.channel))
    const shares = meanings.some(meaning => meaning.some(i => channels.has(results[i]!.channel)))
    if (hasWords(cluster) && !shares) meanings.push(cluster)
    else meanings[0]!.push(...cluster)
  }
  return meanings
}

/** How many results of a cluster use each word. */
function usersOf(cluster: readonly number[], bags: readonly Map<string, number>[]): Map<string, number> {
  const users = new Map<string, number>()
  for (const i of cluster) for (const key of bags[i]!.keys()) users.set(key, (users.get(key) ?? 0) + 1)
  return users
}

function likeness(a: TermVector, b: TermVector): number {
  if (!a.length || !b.length) return 0
  const [small, large] = a.vector.size < b.vector.size ? [a, b] : [b, a]
  let sum = 0
  for (const [key, weight] of small.vector) sum += weight * (large.vector.get(key) ?? 0)
  return sum / a.length / b.length
}

/**
 * Average linkage over at most some sixty results: the likenesses are kept as sums, so that a join is one addition a
 * cluster.
 */
function join(vectors: readonly TermVector[]): number[][] {
  const clusters = vectors.map((_, i) => [i])
  const sums = vectors.map(a => vectors.map(b => likeness(a, b)))
  const alive = new Set(clusters.keys())
  for (;;) {
    let best: { a: number; b: number; like: number } | null = null
    for (const a of alive) {
      for (const b of alive) {
        if (b <= a) continue
        const like = sums[a]![b]! / (clusters[a]!.length * clusters[b]!.length)
        if (like >= LIKE && (!best || like > best.like)) best = { a, b, like }
      }
    }
    if (!best) return [...alive].map(i => clusters[i]!)
    const { a, b } = best
    clusters[a]!.push(...clusters[b]!)
    alive.delete(b)
    for (const other of alive) if (other !== a) sums[a]![other] = sums[other]![a] = sums[a]![other]! + sums[b]![other]!
  }
}

function nameOf(
  cluster: readonly number[],
  bags: readonly Map<string, number>[],
  frequency: ReadonlyMap<string, number>,
  total: number,
  written: ReadonlyMap<string, Map<string, number>>,
): string[] {
  const naming = [...usersOf(cluster, bags)].filter(([, n]) => n >= NAMING * cluster.length)
  const own = naming.filter(([key, n]) => frequency.get(key)! - n <= USED_BY_OTHERS * (total - cluster.length))
  const points = (own.length ? own : naming).map(([key, n]) => {
    const outside = (frequency.get(key)! - n + 0.5) / (total - cluster.length + 1)
    return { key, points: (n / cluster.length) * Math.log(1 + n / cluster.length / outside) }
  })
  return points
    .sort((a, b) => b.points - a.points || (a.key < b.key ? -1 : 1))
    .slice(0, 3)
    .map(({ key }) => [...written.get(key)!].sort((a, b) => b[1] - a[1])[0]![0])
}
