import { setImmediate as nextTurn } from 'node:timers/promises'
import { group } from 'd3-array'
import { intentOf } from '../../core/demand/intent'
import { earnedOf, type EarningVideo, type WayOfViews } from '../../core/ranks/earned'
import { RATES } from '../../core/rivals/winnings'
import { dayName, dayNamed } from '../../core/ranks/standing'
import { EARNED_KINDS, type EarnedKind } from '../../core/formats/earnedColumns'
import { words } from '../../core/text/words'
import type { EarnedAnswer, ToldLine } from '../../shared/earned'
import type { EarnedLine, EarnedSpan, EarnedVideo, RankSeen } from '../data/earned'
import type { WorkspaceStore } from '../data/workspaces'
import type { Runtime } from '../runtime'
import { inTurns } from '../threads/inTurns'

export type EarnedStores = Pick<Runtime, 'earned' | 'places' | 'workspaces'>

const LINES = 200
/** Videos that are read between two turns of others. */
const AT_ONCE = 100
/** Searches are told by the month. */
const DAYS_A_MONTH = 365.25 / 12
/** What a kind is looked at before others. */
const DEAREST: readonly EarnedKind[] = ['order', 'coupon', 'call', 'click']

/** What phrases brought beside views, told from what videos brought and how their views came; nothing is asked. */
export async function earnedAnswer(
  { earned, places, workspaces }: EarnedStores,
  workspace: string,
  asked: { kind?: EarnedKind; from?: string; to?: string } = {},
): Promise<EarnedAnswer> {
  const settings = workspaces.settings(workspace)
  const spans = earned.spans(workspace)
  await nextTurn()
  const kind = asked.kind ?? DEAREST.find(each => spans.some(span => span.kind === each)) ?? null
  const lines = earned.newest(workspace, LINES).map(toldLine)
  await nextTurn()
  const answer: EarnedAnswer = {
    kinds: EARNED_KINDS.flatMap(each => {
      const span = spans.find(known => known.kind === each)
      return span ? [{ kind: each, count: span.count, ...worthOf(span, settings.earnings.each[each]) }] : []
    }),
    kind,
    currency: earnedCurrency(workspaces, workspace),
    set: settings.earnings.each,
    from: null,
    to: null,
    told: 0,
    counted: 0,
    videos: [],
    withoutViews: [],
    rate: null,
    groups: [],
    intents: [],
    phrases: [],
    lines,
  }
  if (!spans.length || kind === null) return answer
  const from = asked.from ? dayNamed(asked.from) : Math.min(...spans.map(({ first }) => first))
  const to = asked.to ? dayNamed(asked.to) : Math.max(...spans.map(({ last }) => last))
  answer.from = dayName(from)
  answer.to = dayName(to)
  answer.told = earned.told(workspace, kind, from, to)
  await nextTurn()
  const ids = earned.toldVideos(workspace)
  const videos: EarnedVideo[] = []
  const seen = new Map<string, RankSeen[]>()
  for (let i = 0; i < ids.length; i += AT_ONCE) {
    const some = ids.slice(i, i + AT_ONCE)
    videos.push(...earned.videos(workspace, some, kind, { from, to }))
    for (const [video, list] of group(earned.ranksSeen(some, from, to), each => each.video)) seen.set(video, list)
    await nextTurn()
  }
  const followed = videos.filter(({ views }) => views > 0)
  answer.withoutViews = videos.filter(({ days }) => days === 0).map(({ video }) => video)
  answer.counted = followed.reduce((sum, { count }) => sum + count, 0)
  answer.videos = followed
    .map(({ video, count, views }) => ({ id: video, count, views }))
    .sort((a, b) => b.count - a.count || b.views - a.views)

  const names = places.names()
  const kinds = new Map<string, Pick<WayOfViews, 'intent' | 'place'>>()
  const kindOf = (phrase: string, language: string) => {
    const has = kinds.get(phrase)
    if (has) return has
    const place = names.in(words(phrase, language).map(({ norm }) => norm)) ?? ''
    const found = { intent: intentOf(phrase, names, [], language)?.intent ?? '', place }
    kinds.set(phrase, found)
    return found
  }
  const told: EarningVideo[] = []
  for (const [i, { video, count, views, search, days }] of followed.entries()) {
    if (i % AT_ONCE === 0) await nextTurn()
    const ways = byPhrase(seen.get(video) ?? [], settings.shares, days).map(({ phrase, language, views: came }) => ({
      phrase,
      views: came,
      ...kindOf(phrase, language),
    }))
    // Searches are those of a usual month, and shares those of a usual page: no more came than are known to have come.
    const all = ways.reduce((sum, way) => sum + way.views, 0)
    const scale = all > 0 ? Math.min(1, (search ?? views) / all) : 0
    const scaled = ways.map(way => ({ ...way, views: way.views * scale }))
    const rest = views - all * scale
    told.push({
      id: video,
      count,
      ways: [...scaled, { phrase: null, intent: '', place: '', views: rest }].filter(way => way.views > 1e-6),
    })
  }
  const found = await inTurns(earnedOf(told))
  return found ? { ...answer, ...found } : answer
}

/** The currency of earnings: as the person set it, or that of views in the workspace's region. */
export function earnedCurrency(workspaces: Pick<WorkspaceStore, 'settings' | 'get'>, workspace: string): string {
  const { earnings, rates } = workspaces.settings(workspace)
  const usual = rates[workspaces.get(workspace)?.region ?? ''] ?? rates[''] ?? RATES['']!
  return earnings.currency ?? usual.currency
}

/** A line as it is told to others. */
export const toldLine = ({ video, day, ...line }: EarnedLine): ToldLine => ({
  ...line,
  videoId: video,
  day: dayName(day),
})

/** What one of a kind is worth: as the person set it, or the mean of those whose value was told. */
function worthOf({ valued, value }: EarnedSpan, set: number | undefined) {
  if (set !== undefined) return { each: set, eachFrom: 'set' as const }
  return valued ? { each: value / valued, eachFrom: 'told' as const } : { each: null, eachFrom: null }
}

/**
 * Views that phrases brought one video: searches × the share of them that look at its rank, over some days. A region
 * counts by itself; what is known of everywhere counts only where no region is known.
 */
function byPhrase(
  seen: readonly RankSeen[],
  shares: readonly number[],
  days: number,
): { phrase: string; language: string; views: number }[] {
  const series = new Map<string, { first: RankSeen; share: number; looked: number }>()
  for (const each of seen) {
    const key = JSON.stringify([each.language, each.phrase, each.region])
    const has = series.get(key) ?? { first: each, share: 0, looked: 0 }
    has.share += each.days * (each.rank === null ? 0 : (shares[each.rank - 1] ?? 0))
    has.looked += each.days
    series.set(key, has)
  }
  const found = new Map<string, { phrase: string; language: string; views: number; everywhere: number }>()
  for (const { first, share, looked } of series.values()) {
    const { phrase, language, region, searches } = first
    const has = found.get(`${language} ${phrase}`) ?? { phrase, language, views: 0, everywhere: 0 }
    has[region ? 'views' : 'everywhere'] += (searches / DAYS_A_MONTH) * days * (share / looked)
    found.set(`${language} ${phrase}`, has)
  }
  return [...found.values()].map(({ everywhere, views, ...phrase }) => ({ ...phrase, views: views || everywhere }))
}
