import { linksOf } from '../../core/draft/links'
import type { VideoStore } from '../data/videos'
import { ownVideoNamed } from './ownVideoNamed'

/** An address as it is compared, with what follows its path and without it; `null` for none of the web. */
function plainAddress(address: string): { whole: string; path: string } | null {
  const text = /^[a-z][a-z\d+.-]{0,20}:/iu.test(address) ? address : `https://${address}`
  if (!/^https?:/iu.test(text) || !URL.canParse(text)) return null
  const { host, pathname, search } = new URL(text)
  const path = `${host.replace(/^www\./u, '')}${pathname.endsWith('/') ? pathname.slice(0, -1) : pathname}`
  return { path, whole: `${path}${search}` }
}

/**
 * Finds the videos that lines of a table are about: by their ids or titles, else by a link that stands in the
 * description of one of them alone.
 * @param alone the video of lines that name none; `null` where there is none.
 */
export function ownVideoLinked(
  { videos }: { videos: VideoStore },
  channel: string | null,
  alone: string | null,
): (named: string, link: string) => { id: string } | { reason: string } {
  const named = ownVideoNamed({ videos }, channel, alone)
  let byLink: Map<string, Set<string>> | undefined
  const readLinks = () => {
    const found = new Map<string, Set<string>>()
    for (const { code, description } of channel === null ? [] : videos.ofChannel(channel))
      for (const { url } of linksOf(description ?? '')) {
        const address = plainAddress(url)
        if (!address) continue
        for (const key of new Set([address.whole, address.path]))
          found.set(key, (found.get(key) ?? new Set()).add(code))
      }
    return found
  }
  return (title, link) => {
    if (title || !link) return named(title)
    const address = plainAddress(link)
    const shown = `“${link.slice(0, 60)}”`
    byLink ??= readLinks()
    const of = address && (byLink.get(address.whole) ?? byLink.get(address.path))
    if (of?.size === 1) return { id: [...of][0]! }
    if (of) return { reason: `${shown} stands in the descriptions of ${of.size} videos. Name the video in a column.` }
    return alone === null ? { reason: `${shown} stands in no description of your videos.` } : { id: alone }
  }
}
