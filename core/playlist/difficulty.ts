import { difficulty, PAGE_SEATS, type Difficulty } from '../rivals/difficulty'
import { RivalReader, strength } from '../rivals/strength'
import { readPhrase } from '../text/match'

/** A playlist found for a phrase. */
export interface FoundPlaylist {
  title: string
  description: string
  /** Of its channel; `null` where nobody knows. */
  subscribers: number | null
}

/**
 * How hard it is to stand among the playlists found for a phrase: the formula of videos with what a playlist tells, its
 * words and the reach of its channel. Views of playlists are told by no site; their part goes to the others.
 * @param found best first; an empty list says nothing.
 */
export function playlistDifficulty(
  phrase: string,
  found: readonly FoundPlaylist[],
  language: string,
): Difficulty | null {
  const read = readPhrase(phrase, language)
  const reader = new RivalReader(language)
  return difficulty(
    found
      .slice(0, PAGE_SEATS)
      .map(({ title, description, subscribers }) =>
        strength(read, { title, description, tags: null, subscribers, viewsPerDay: null }, reader),
      )
      .map(each => each.strength),
    true,
  )
}
