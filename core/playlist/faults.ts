import { readPhrase } from '../text/match'
import { phraseKey } from '../text/words'
import { FEWEST, wordsHeld } from './belongs'

export interface PlaylistFault {
  kind: 'few' | 'astray' | 'gone' | 'same-title'
  message: string
  /** The entry it is about. */
  entry?: string
}

/** What a playlist holds, as far as it is known. */
export interface KnownEntry {
  id: string
  title: string
  /** '' where there is none. */
  lead: string
  /** Its other phrases. */
  phrases: readonly string[]
  /** Whether it is still there. */
  gone: boolean
}

/**
 * What is wrong with what a playlist holds. A video is astray when neither its title nor any of its phrases has one of
 * the telling words of the playlist's lead.
 * @param others titles of the other playlists.
 */
export function playlistFaults(
  { title, lead }: { title: string; lead: string },
  entries: readonly KnownEntry[],
  others: readonly string[],
  language: string,
): PlaylistFault[] {
  const faults: PlaylistFault[] = []
  const there = entries.filter(each => !each.gone)
  if (title.trim() && others.some(each => phraseKey(each) === phraseKey(title)))
    faults.push({ kind: 'same-title', message: 'Another playlist has the same title. Change one of them.' })
  if (there.length < FEWEST)
    faults.push({
      kind: 'few',
      message: `${there.length === 0 ? 'Nothing is in it yet' : there.length === 1 ? 'One video is in it' : `${there.length} videos are in it`}. Add more: a playlist needs at least three to lead viewers on.`,
    })
  for (const entry of entries) {
    if (entry.gone) {
      faults.push({ kind: 'gone', entry: entry.id, message: 'A video or brief was deleted. Take it out of the list.' })
      continue
    }
    const among = new Set(
      [entry.title, entry.lead, ...entry.phrases].flatMap(each => readPhrase(each, language).content),
    )
    if (among.size && wordsHeld(lead || title, among, language) === 0)
      faults.push({
        kind: 'astray',
        entry: entry.id,
        message: `“${entry.title}” shares no word with ${lead ? 'the lead' : 'the title'} of the playlist.`,
      })
  }
  return faults
}
