import { fieldOf } from '../../core/brief/brief'
import { arrivalsAbove } from '../../core/ranks/arrivals'
import { rankDay, type RankDay } from '../../core/ranks/standing'
import { PAGE_SEATS } from '../../core/rivals/difficulty'
import { phraseKey } from '../../core/text/words'
import type { RankMark, RankSurroundings } from '../../shared/ranks'
import type { Runtime } from '../runtime'
import type { RankLook } from './look'

type Stores = Pick<Runtime, 'briefItems' | 'phrases' | 'publications' | 'ranks' | 'results' | 'videoChanges' | 'videos'>

/** What was done for a video: when it came out, what was changed of it, and where it was told of. */
function marksOf({ briefItems, publications, videoChanges, videos }: Stores, video: string): RankMark[] {
  const released = videos.video(video)?.published_at ?? null
  const brief = publications.briefOf(video)
  const told = brief ? briefItems.list(brief, 'spreadStep') : []
  return [
    ...(released === null ? [] : [{ at: released, kind: 'released' as const, text: 'Released' }]),
    ...videoChanges.of(video).map(({ at, field }) => ({
      at,
      kind: 'changed' as const,
      text: `${fieldOf(field).label} changed`,
    })),
    ...told.flatMap(({ value: { doneAt, what } }) =>
      doneAt === null ? [] : [{ at: doneAt, kind: 'told' as const, text: what }],
    ),
  ].sort((a, b) => a.at - b.at)
}

function onPage(ids: readonly string[], video: string, day: number): RankDay {
  const place = ids.indexOf(video)
  return { day, rank: place < 0 ? null : place + 1, depth: ids.length }
}

/**
 * What may lie behind the curve of a video for a phrase, from what is kept.
 * @param phrase '' for none. @param rival whose curve is wanted as well.
 */
export function surroundingsOf(
  stores: Stores,
  { video, phrase, region, language, kind, channel, rival = null }: RankLook & { rival?: string | null },
): RankSurroundings {
  const { phrases, ranks, results, videos } = stores
  const titleOf = (id: string) => videos.video(id)?.title ?? id
  const answer: RankSurroundings = { marks: marksOf(stores, video), arrivals: [], rivals: [], rival: null }
  const known = phrase.trim() ? phrases.known(phraseKey(phrase), region, language) : null
  const page = known && results.latest(known.id, region, kind)
  if (!page) return answer
  const isMine = (id: string | undefined) => channel !== null && id === channel
  answer.rivals = results
    .seats(page, PAGE_SEATS)
    .filter(({ code, off, channel_id: of }) => code !== video && !off && !isMine(of))
    .map(({ code, title, channel_title, rank }) => ({ videoId: code, title, channel: channel_title, rank }))
  // Lists of different sources differ without anybody having moved.
  const pages = results.past(page.phrase_id, region, kind).filter(({ source }) => source === page.source)
  const mine = new Set([video, ...(channel === null ? [] : videos.codesOfChannel(channel))])
  answer.arrivals = arrivalsAbove(pages, video, mine).map(({ id, ...arrival }) => ({
    ...arrival,
    videoId: id,
    title: titleOf(id),
  }))
  if (rival !== null) {
    // Looked up it is known deeper than page one; before that, kept pages tell.
    const days = new Map(pages.map(({ at, ids }) => [rankDay(at), onPage(ids, rival, rankDay(at))]))
    for (const series of ranks.of({ video: rival, phrase: phraseKey(phrase), region, kind }))
      for (const day of series.days) days.set(day.day, day)
    answer.rival = {
      videoId: rival,
      title: titleOf(rival),
      days: [...days.values()].sort((a, b) => a.day - b.day),
    }
  }
  return answer
}
