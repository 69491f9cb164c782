import { closeness, stemsOf } from '../titles/closeness'
import { readPhrase } from '../text/match'
import { phraseKey } from '../text/words'

/** Pages that share this many of their first twenty results are won by the same video. */
const SHARED = 6
/** Leads and wordings proposed instead. */
const MOST = 3

/** What is planned: its phrases with what is kept of their first pages. */
export interface Planned {
  title: string
  lead: string
  /** Ids of the first page of the lead; empty where none is kept. */
  page: readonly number[]
  support: readonly { phrase: string; volume: number | null; page: readonly number[] }[]
}

/** Another brief of mine, or a video of mine that stands on the lead's page. */
export interface OwnOther {
  kind: 'brief' | 'video'
  id: string
  title: string
  /** '' for a video, and for a brief without a lead. */
  lead: string
  /** As of the plan; for a video empty. */
  page: readonly number[]
  /** Where a video stands on the lead's page. */
  rank?: number
}

/** One of mine that this one would compete with. */
export interface OwnRival {
  kind: OwnOther['kind']
  id: string
  title: string
  lead: string
  /**
   * `lead`: the same lead but for endings and order; `results`: the leads lead to much the same results; `rank`: it
   * stands there.
   */
  because: 'lead' | 'results' | 'rank'
  /** Results in common, of twenty; `null` where a page is not kept. */
  shared: number | null
  rank: number | null
  /** 0 to 1: how close the titles are; by it two of mine look like one. */
  closeness: number
  /** Phrases of the plan that would part them if one led: those with other results than its, most searched first. */
  instead: { phrase: string; volume: number | null; shared: number | null }[]
}

const inCommon = (a: readonly number[], b: readonly number[]): number | null => {
  if (!a.length || !b.length) return null
  const there = new Set(a)
  return b.filter(id => there.has(id)).length
}

/** Whether two phrases are the same but for endings, order and words that name nothing. */
function alike(a: string, b: string, language: string): boolean {
  if (phraseKey(a) === phraseKey(b)) return true
  const [one, other] = [readPhrase(a, language), readPhrase(b, language)].map(phrase =>
    [...new Set(phrase.content)].sort(),
  )
  return one!.length > 0 && one!.join(' ') === other!.join(' ')
}

/**
 * Which of mine a planned video would push aside, or be held up by: those with the same lead, those whose lead leads to
 * at least six of the same twenty results, and videos that stand on the lead's page already.
 *
 * @returns the closest first: same leads, then by results in common, then by rank.
 */
export function ownRivals(planned: Planned, others: readonly OwnOther[], language: string): OwnRival[] {
  if (!planned.lead.trim()) return []
  const own = stemsOf(planned.title, language)
  const found = others.flatMap(({ kind, id, title, lead, page, rank }): OwnRival[] => {
    const shared = inCommon(planned.page, page)
    const because =
      lead && alike(planned.lead, lead, language)
        ? 'lead'
        : shared !== null && shared >= SHARED
          ? 'results'
          : rank === undefined
            ? null
            : 'rank'
    if (!because) return []
    // Whether a video stands on the pages of other phrases is not asked.
    const instead = (kind === 'brief' ? planned.support : [])
      .filter(({ phrase }) => !lead || !alike(phrase, lead, language))
      .map(({ phrase, volume, page: own }) => ({
        phrase,
        volume,
        shared: inCommon(own, page),
      }))
      .filter(each => each.shared === null || each.shared < SHARED)
      .sort((a, b) => (b.volume ?? -1) - (a.volume ?? -1))
      .slice(0, MOST)
    return [
      {
        kind,
        id,
        title,
        lead,
        because,
        shared,
        rank: rank ?? null,
        closeness: closeness(own, stemsOf(title, language)),
        instead,
      },
    ]
  })
  const order = { lead: 0, results: 1, rank: 2 }
  return found.sort(
    (a, b) =>
      order[a.because] - order[b.because] || (b.shared ?? 0) - (a.shared ?? 0) || (a.rank ?? 99) - (b.rank ?? 99),
  )
}
