import { setImmediate as nextTurn } from 'node:timers/promises'
import { standTogether, type Together } from '../../core/ranks/together'
import { rankDay } from '../../core/ranks/standing'
import { phraseKey } from '../../core/text/words'
import type { Runtime } from '../runtime'

/** Days whose ranks tell whether two change places, and phrases that are told. */
const LOOKED_BACK = 90
const MOST = 200

/** Phrases that are asked for between two turns of others. */
const AT_ONCE = 200

/** Phrases for which several videos of a workspace’s channel stand on page one, by the pages kept of a region. */
export async function togetherOf(
  { phrases, ranks, videos, workspaces, now }: Pick<Runtime, 'phrases' | 'ranks' | 'videos' | 'workspaces' | 'now'>,
  workspace: string,
  region: string,
): Promise<{ rows: Together[]; more: number }> {
  const { channelId, language } = workspaces.get(workspace)!
  const { shares } = workspaces.settings(workspace)
  const standing = channelId === null ? [] : videos.standingOf(channelId, region, language)
  const searches = new Map<string, number | null>()
  for (const { phrase } of standing) {
    if (searches.has(phrase)) continue
    if (searches.size % AT_ONCE === 0) await nextTurn()
    searches.set(phrase, phrases.known(phrase, region, language)?.volume ?? null)
  }
  const from = rankDay(now()) - LOOKED_BACK
  return standTogether(
    standing.map(({ code, ...each }) => ({ ...each, video: code })),
    {
      shares,
      language,
      most: MOST,
      searchesOf: phrase => searches.get(phrase)!,
      daysOf: (video, phrase) =>
        ranks.of({ video, phrase: phraseKey(phrase), region, kind: 'site', from })[0]?.days ?? [],
    },
  )
}
