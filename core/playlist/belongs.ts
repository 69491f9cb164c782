import { clusterPhrases, type PhrasePage } from '../rivals/clusters'
import { readPhrase } from '../text/match'
import { phraseKey } from '../text/words'

/** Results that leads have in common, of twenty, from which on who watches one may want the other. */
const NEAR = 3
/** A playlist of fewer leads nobody on. */
export const FEWEST = 3
const MOST_GROUPS = 12

/** A phrase with the first page kept of it; an empty one says nothing. */
export interface LedBy {
  lead: string
  page: readonly number[]
}

export interface Belongs {
  playlist: string
  /** Results that its lead has in common with that of `with`, the nearest video of the playlist; 0 where none. */
  shared: number
  with: string | null
  /** Share of the words of the playlist's lead that the brief's phrases hold; `null` where it has no lead. */
  words: number | null
}

const contentOf = (phrases: readonly string[], language: string) =>
  new Set(phrases.flatMap(phrase => readPhrase(phrase, language).content))

/** Share of the telling words of a phrase that are among others; `null` for a phrase without any. */
export function wordsHeld(phrase: string, among: ReadonlySet<string>, language: string): number | null {
  const words = [...new Set(readPhrase(phrase, language).content)]
  return words.length ? words.filter(word => among.has(word)).length / words.length : null
}

/**
 * Whether a video that stands on the page of a phrase is about it: its title says two of the phrase's telling words, or
 * the only one. One of several, such as “bike”, is said by half a channel.
 */
export function standsFor(phrase: string, title: string, language: string): boolean {
  const words = new Set(readPhrase(phrase, language).content)
  const said = contentOf([title], language)
  const held = [...words].filter(word => said.has(word)).length
  return held > 0 && held >= Math.min(2, words.size)
}

/**
 * The playlists a brief belongs to: those with a video whose lead leads to some of the same results, and those whose
 * own lead the brief's phrases say whole. The nearest first.
 *
 * @param phrases of the brief, its lead first.
 */
export function belongsTo(
  brief: LedBy & { phrases: readonly string[] },
  playlists: readonly { id: string; lead: string; title: string; entries: readonly LedBy[] }[],
  language: string,
): Belongs[] {
  const page = new Set(brief.page)
  const among = contentOf(brief.phrases, language)
  return playlists
    .map(({ id, lead, title, entries }): Belongs => {
      let [shared, nearest]: [number, string | null] = [0, null]
      for (const entry of entries) {
        const n = entry.page.filter(video => page.has(video)).length
        if (n > shared) [shared, nearest] = [n, entry.lead]
      }
      return { playlist: id, shared, with: nearest, words: wordsHeld(lead || title, among, language) }
    })
    .filter(each => each.shared >= NEAR || each.words === 1)
    .sort((a, b) => b.shared - a.shared || (b.words ?? 0) - (a.words ?? 0))
}

/** A playlist that could be made. */
export interface NewPlaylist {
  /** The phrase it would be found by: the most searched of the group. */
  lead: string
  title: string
  phrases: string[]
  /** Searches a month of all its phrases, unknown ones left out. */
  searches: number
  /** Ids of what would be in it. */
  briefs: string[]
  videos: string[]
}

/**
 * Playlists that could be made, from phrases won together: those with enough briefs or videos of mine that do not stand
 * in one playlist already.
 *
 * @param phrases with the pages kept of them. @param mine which briefs and videos each phrase leads to.
 * @param lists what the playlists that are there hold.
 */
export function newPlaylists(
  phrases: readonly PhrasePage<number>[],
  mine: ReadonlyMap<string, { briefs: readonly string[]; videos: readonly string[] }>,
  lists: readonly { lead: string; entries: ReadonlySet<string> }[],
  language: string,
): NewPlaylist[] {
  const taken = new Set(lists.map(({ lead }) => phraseKey(lead)).filter(Boolean))
  return clusterPhrases(phrases)
    .map(({ head, phrases: of, volume }) => ({
      lead: head,
      title: head.charAt(0).toLocaleUpperCase(language) + head.slice(1),
      phrases: of,
      searches: volume,
      briefs: [...new Set(of.flatMap(phrase => mine.get(phrase)?.briefs ?? []))],
      videos: [...new Set(of.flatMap(phrase => mine.get(phrase)?.videos ?? []))],
    }))
    .filter(({ lead, briefs, videos }) => {
      const all = [...briefs, ...videos]
      return (
        all.length >= FEWEST &&
        !taken.has(phraseKey(lead)) &&
        !lists.some(({ entries }) => all.every(id => entries.has(id)))
      )
    })
    .slice(0, MOST_GROUPS)
}
