import type { Shares } from '../rivals/winnings'
import { closeness, stemsOf } from '../titles/closeness'
import type { RankDay } from './standing'

/** One of two or more videos of mine that stand on one page. */
export interface Standing {
  video: string
  title: string
  rank: number
}
/** A video of mine on a page that holds another one of mine. */
export interface BesideMine extends Standing {
  /** Views a month: searches × the share that looks at its rank; `null` where searches are not known. */
  brings: number | null
  /** A phrase for which it alone stands of mine, the one searched most: what it could be for instead. */
  instead: { phrase: string; searches: number } | null
}
/** A phrase for which several of mine stand on page one. */
export interface Together {
  phrase: string
  searches: number | null
  /** The highest first. */
  videos: BesideMine[]
  /** How often the first two changed places, and over how many days on which both were seen. */
  swaps: number
  days: number
  /** 0 to 1: how close their titles are. */
  closeness: number
  /**
   * The one that could give the phrase up: the lower of two that swap places, where it has another phrase to be for;
   * `null` where both bring what they bring.
   */
  giveUp: string | null
}

/** Two that changed places so often take each other’s rank. */
const SWAPS = 2

/** How often two rows of ranks changed their order, over days on which both were seen. */
export function swapsOf(one: readonly RankDay[], other: readonly RankDay[]): { swaps: number; days: number } {
  const ranks = new Map(other.map(({ day, rank }) => [day, rank]))
  let [swaps, days, before] = [0, 0, 0]
  for (const { day, rank } of one) {
    const beside = ranks.get(day)
    if (beside === undefined || (rank === null && beside === null)) continue
    days++
    // Beyond what was read comes after all that was.
    const order = Math.sign((rank ?? Infinity) - (beside ?? Infinity))
    if (before && order && order !== before) swaps++
    before = order || before
  }
  return { swaps, days }
}

/**
 * Phrases for which several videos of one channel stand on page one, most searched first.
 *
 * @param standing where they stand. @param searchesOf a month; `null` where they are not known.
 * @param daysOf the ranks of a video for a phrase, oldest first; none where it was not looked up.
 * @param most rows that are told.
 */
export function standTogether(
  standing: readonly (Standing & { phrase: string })[],
  {
    shares,
    language,
    searchesOf,
    daysOf,
    most = Infinity,
  }: {
    shares: Shares
    language: string
    searchesOf: (phrase: string) => number | null
    daysOf: (video: string, phrase: string) => readonly RankDay[]
    most?: number
  },
): { rows: Together[]; more: number } {
  const byPhrase = new Map<string, Standing[]>()
  for (const { phrase, ...each } of standing) byPhrase.set(phrase, [...(byPhrase.get(phrase) ?? []), each])
  const alone = new Map<string, { phrase: string; searches: number }>()
  for (const [phrase, [only, ...more]] of byPhrase) {
    const searches = more.length ? null : searchesOf(phrase)
    const best = alone.get(only!.video)?.searches ?? -1
    if (searches !== null && searches > best) alone.set(only!.video, { phrase, searches })
  }
  const several = [...byPhrase]
    .filter(([, videos]) => videos.length > 1)
    .map(([phrase, found]) => ({ phrase, found, searches: searchesOf(phrase) }))
    .sort((a, b) => (b.searches ?? -1) - (a.searches ?? -1) || a.phrase.localeCompare(b.phrase))
  const rows = several.slice(0, most).map(({ phrase, found, searches }): Together => {
    const videos = found
      .sort((a, b) => a.rank - b.rank)
      .map(each => ({
        ...each,
        brings: searches === null ? null : searches * (shares[each.rank - 1] ?? 0),
        instead: alone.get(each.video) ?? null,
      }))
    const [first, second] = videos as [BesideMine, BesideMine]
    const { swaps, days } = swapsOf(daysOf(first.video, phrase), daysOf(second.video, phrase))
    return {
      phrase,
      searches,
      videos,
      swaps,
      days,
      closeness: closeness(stemsOf(first.title, language), stemsOf(second.title, language)),
      giveUp: swaps >= SWAPS && second.instead ? second.video : null,
    }
  })
  return { rows, more: several.length - rows.length }
}
