import type { ImportProgress, PagesImported } from '../../shared/imports'
import type { PhraseStore } from '../data/phrases'
import type { ResultStore } from '../data/results'
import type { VideoStore } from '../data/videos'
import type { ImportedPage, PagesEvent } from './readPages'
import { Refusals } from './refusals'
import { inDigits } from '../../core/text/inWords'

export interface ImportPagesDeps {
  phrases: PhraseStore
  results: ResultStore
  videos: VideoStore
}
export interface ImportPagesOptions {
  language: string
  source: string
  /** The time of records without one: that with which the file was read. */
  now: number
  /** Ends it after the batch at work. */
  signal?: AbortSignal
  /** Told how far it is. */
  report?: (progress: ImportProgress) => void
}

/**
 * Saves imported result pages, videos and channels. A page gives difficulty and chance as any other. In
 * transactions of some hundred videos, the event loop free between them; importing the same file again changes nothing,
 * so that an import cut off is simply repeated.
 *
 * @throws Error with a message for the user when the file as a whole cannot be read; what was written stays.
 */
export async function importPages(
  { phrases, results, videos }: ImportPagesDeps,
  events: AsyncIterable<PagesEvent>,
  { language, source, now, signal, report }: ImportPagesOptions,
): Promise<PagesImported> {
  const counts = { videos: 0, pages: 0, known: 0 }
  const refusals = new Refusals()
  const channels = new Set<string>()

  function keepPages(list: ImportedPage[]): void {
    const ids = phrases.phraseIds(
      list.map(page => page.phrase),
      language,
    )
    const due = list.flatMap((page, i) => {
      const phraseId = ids[i]!
      const known = results.hasPage({
        phraseId,
        region: page.region,
        at: page.at,
        source,
        codes: page.videos.map(video => video.id),
      })
      if (known) counts.known++
      return known ? [] : [{ ...page, phraseId }]
    })
    results.save(
      due.map(({ phraseId, ranks, strengths, intent, ...page }) => ({
        // A page with a hole, or that begins after the first rank, is incomplete.
        phraseId,
        region: page.region,
        kind: 'site',
        source,
        at: page.at ?? now,
        depth: ranks.at(-1) ?? 0,
        complete: ranks.every((rank, k) => rank === k + 1),
        more: page.videos.length >= 20,
        titleMatches: page.titleMatches,
        videoBlock: null,
        intent,
        imported: true,
        seats: page.videos.map((video, k) => ({ video, strength: strengths[k]! })),
      })),
    )
    counts.pages += due.length
    for (const page of list) {
      counts.videos += page.videos.length
      for (const video of page.videos) channels.add(video.channel.id)
    }
  }

  for await (const event of events) {
    if (event.kind === 'refused') refusals.add(event.lines)
    else if (event.kind === 'channel') {
      videos.saveChannel(event.channel, now)
      channels.add(event.channel.id)
    } else if (event.kind === 'videos') {
      videos.saveVideos(event.list, now)
      counts.videos += event.list.length
      for (const video of event.list) channels.add(video.channel.id)
      report?.({ part: event.part, said: `${inDigits(counts.videos)} videos imported` })
    } else {
      keepPages(event.list)
      report?.({ part: event.part, said: `${inDigits(counts.pages)} result pages imported` })
    }
    if (signal?.aborted) break
    await new Promise(resolve => setImmediate(resolve))
  }
  phrases.settle()
  return { ...counts, channels: channels.size, ...refusals.summary() }
}
