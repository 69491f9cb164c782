import type { VideoStore } from '../data/videos'

type Named = { id: string } | { reason: string }

/** A title as it is compared: programs that write tables change spaces and case. */
const plain = (title: string) => title.normalize('NFKC').toLowerCase().replace(/\s+/gu, ' ').trim()

/**
 * Finds the videos that lines of a table name, by their ids or titles.
 * @param alone the video of lines that name none; `null` where there is none.
 */
export function ownVideoNamed(
  { videos }: { videos: VideoStore },
  channel: string | null,
  alone: string | null,
): (named: string) => Named {
  const byTitle = new Map<string, string | null>()
  const ids = new Set<string>(alone === null ? [] : [alone])
  for (const { code, title } of channel === null ? [] : videos.titlesOfChannel(channel)) {
    ids.add(code)
    byTitle.set(plain(title), byTitle.has(plain(title)) ? null : code)
  }
  return named => {
    if (!named)
      return alone === null
        ? { reason: 'No video is named in this line. Choose the video it is about.' }
        : { id: alone }
    if (ids.has(named)) return { id: named }
    const found = byTitle.get(plain(named))
    if (found) return { id: found }
    return {
      reason:
        found === null
          ? `Two videos are called “${named.slice(0, 60)}”. Use their ids.`
          : `“${named.slice(0, 60)}” is no video of your channel, by id or title.`,
    }
  }
}
