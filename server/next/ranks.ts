import { setImmediate as nextTurn } from 'node:timers/promises'
import { aboutNothing, type Proposal } from '../../core/next/proposal'
import { fallenOf, lostBy } from '../../core/ranks/fallen'
import { compareFirstWeeks, FIRST_DAYS, missedViews } from '../../core/ranks/firstWeeks'
import { rankDay } from '../../core/ranks/standing'
import { wonTogether } from '../../shared/openPhrases'
import { openPhrasesOf, type OpenPhraseStores } from '../ranks/openPhrases'
import { firstDaysOf } from '../ranks/views'
import { weighVideos, type WeighStores } from '../ranks/weighVideos'
import type { Runtime } from '../runtime'

type Stores = WeighStores & Pick<Runtime, 'videoDays'>

/** Looks that a fall can be told from, in days. */
const LOOKED_BACK = 70
/** Series that are read between two turns of others. */
const AT_ONCE = 50
/** Videos whose words are weighed: those whose phrases are searched most. */
const MOST_WEIGHED = 30
/** Phrases of the channel's topics that are looked at for open ones. */
const OPEN_LOOKED = 60
/** The newest videos whose first weeks are looked at, and those they are compared with. */
const MOST_NEW = 8
const MOST_OTHERS = 100

interface Of {
  workspace: string
  region: string
  /** The ids of the channel's videos. */
  own: ReadonlySet<string>
}

/** Ranks of one's own videos that fell and stayed down, in all regions that are looked up. */
export async function ranksFallen(
  { aimed, videos, workspaces, now }: Stores,
  { workspace, own }: Of,
): Promise<{ looked: number; proposals: Proposal[] }> {
  const today = rankDay(now())
  const { shares } = workspaces.settings(workspace)
  const series = aimed.of(workspace).filter(({ video }) => own.has(video))
  const proposals: Proposal[] = []
  for (const [i, { series: id, video, phrase, region, searches }] of series.entries()) {
    if (i % AT_ONCE === 0) await nextTurn()
    const fall = fallenOf(aimed.daysSince(id, today - LOOKED_BACK), today)
    if (!fall) continue
    proposals.push({
      ...aboutNothing,
      kind: 'fell',
      key: `fell:${id}`,
      title: videos.video(video)!.title,
      phrase,
      region: region || null,
      video,
      views: lostBy(fall, searches, shares),
      fall,
    })
  }
  return { looked: series.length, proposals }
}

/** New videos that fall short in their first weeks, and where. */
export async function firstWeeksLow({ videoDays, videos, now }: Stores, channel: string): Promise<Proposal[]> {
  const today = rankDay(now())
  const known = videos.ofChannel(channel, MOST_OTHERS).filter(({ published_at }) => published_at !== null)
  const days = new Map(known.map(video => [video.code, firstDaysOf(videoDays, video)]))
  const fresh = known.slice(0, MOST_NEW).filter(({ published_at }) => rankDay(published_at!) > today - FIRST_DAYS - 7)
  const proposals: Proposal[] = []
  for (const { code, title } of fresh) {
    await nextTurn()
    const mine = days.get(code)!
    const others = [...days].filter(([other]) => other !== code).map(([, each]) => each)
    const { cause, steps, days: compared } = compareFirstWeeks(mine, others, today)
    const step = steps.find(each => each.step === cause)
    if (!step) continue
    const { ratio, low, high } = step
    proposals.push({
      ...aboutNothing,
      kind: 'first',
      key: `first:${code}`,
      title,
      video: code,
      views: missedViews(steps, step.step),
      step: step.step,
      ratio,
      low,
      high,
      days: compared,
    })
  }
  return proposals
}

/** Phrases that a new video would win, and with it those of much the same results. */
export async function phrasesToFilm(stores: OpenPhraseStores, { workspace, region }: Of): Promise<Proposal[]> {
  const { phrases } = await openPhrasesOf(stores, workspace, region, OPEN_LOOKED)
  // What is searched near a place is won near it alone: how much of it is mine nobody knows.
  return phrases
    .filter(({ intent }) => intent !== 'near')
    .map(open => ({
      ...aboutNothing,
      kind: 'film',
      key: `film:${open.phrase}`,
      title: open.phrase,
      phrase: open.phrase,
      region: region || null,
      video: null,
      views: wonTogether(open),
      chance: open.chance,
      also: open.also.length,
    }))
}

/** Videos that better words would bring views to, and cost none nine times in ten. */
export async function wordsToMend(
  stores: Stores,
  { workspace, region, own }: Of,
): Promise<{ looked: number; proposals: Proposal[] }> {
  // A phrase that a video was made for is known for these; the rest is worked through under To mend.
  const searches = new Map<string, number>()
  for (const { video, region: of, searches: known } of stores.aimed.of(workspace))
    if (own.has(video) && of === region) searches.set(video, Math.max(searches.get(video) ?? 0, known ?? 0))
  const most = [...searches].sort(([, a], [, b]) => b - a).slice(0, MOST_WEIGHED)
  const proposals: Proposal[] = []
  const codes = most.map(([video]) => video)
  for await (const { row } of weighVideos(stores, { workspace, region }, codes)) {
    const { videoId, title, lead, brief, words } = row
    if (!words || words.low < 0) continue
    const facts = { kind: 'mend', key: `mend:${videoId}`, words, views: words.expected } as const
    proposals.push({ ...aboutNothing, ...facts, title, phrase: lead, region: region || null, brief, video: videoId })
  }
  return { looked: codes.length, proposals }
}
