import { DAY } from '../../core/time'
import { PAGE_SEATS } from '../../core/rivals/difficulty'
import type { AskedStore } from '../data/asked'
import type { PlaylistPageStore } from '../data/playlistPages'
import type { MayAsk, Services } from '../services/contract'
import { isServiceFault, withRetry } from '../services/retry'

/** Playlists found for a phrase change slowly. */
const LOOK_AGE_MS = 14 * DAY

export interface PlaylistLookDeps extends MayAsk {
  playlistPages: PlaylistPageStore
  services: Services
  asked: AskedStore
  now?: () => number
}

/** Makes sure the playlists found for a phrase are kept. @returns why they are old or missing, when the site failed. */
export async function lookAtPlaylists(
  { playlistPages, services, asked, mayAsk = true, ownDataOnly, now = Date.now }: PlaylistLookDeps,
  { phrase, region, language }: { phrase: string; region: string; language: string },
  anew = false,
): Promise<string | null> {
  const kept = playlistPages.get(phrase, region, language)
  if (kept && !anew && now() - kept.at < LOOK_AGE_MS) return null
  if (ownDataOnly) return null
  if (!mayAsk) return 'Showing saved data; the site was not contacted.'
  const what = ['playlists', language, region, phrase]
  const waits = anew ? null : asked.waits(what)
  if (waits) return waits.problem
  try {
    const answer = await withRetry(() => services.site.searchPlaylists(phrase, region || null, language, PAGE_SEATS))
    playlistPages.save(phrase, region, language, {
      source: answer.source,
      at: answer.at,
      complete: answer.complete,
      playlists: answer.data.playlists.slice(0, PAGE_SEATS),
    })
    return null
  } catch (error) {
    if (!isServiceFault(error)) throw error
    asked.failed([what], (error as Error).message)
    return (error as Error).message
  }
}
