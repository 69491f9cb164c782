import type { Intent } from '../../core/demand/intentNames'
import type { WorthWeights } from '../../core/demand/worth'
import type { PhrasesQuery } from '../../shared/phrases'
import type { OwnStanding } from './regionColumns'

/** A question to the index: the query's own filters and sort, with what only the server knows. */
export interface IndexQuestion {
  query: Omit<PhrasesQuery, 'region'> & { region: string }
  /** For each seed the look whose phrases belong to it besides those that hold its words. */
  looks: (number | null)[]
  /** Phrases that stay away: what the tray holds, what it set aside. */
  without: string[]
  own: OwnStanding | null
  weights?: WorthWeights
}

export interface IndexAnswer {
  total: number
  /** How many were left out only because they are in the tray or set aside. */
  withheld: number
  /** Ids of the rows asked for, in order. */
  ids: number[]
  /** Their chances of page one for the channel asked for, `null` where unknown. */
  chances: (number | null)[]
  /** What their wordings ask for, `null` for nothing, `undefined` where that is not worked out yet. */
  wordings: (Intent | null | undefined)[]
  /** Which seeds brought each, by their places; empty where there is one seed only. */
  broughtBy: number[][]
  /**
   * Phrases near a seed that hardly any phrase answers, the most searched first, with what was changed to find them.
   */
  near: { id: number; why: string; seed: number }[]
  cap: number
  /** Caps worked out anew on the way. */
  caps: { region: string; cap: number; known: number }[]
}

/**
 * What is sorted by a channel's figures where there is no channel: all of them are unknown, and what ties goes by
 * searches.
 */
export function withoutChannel(query: IndexQuestion['query']): IndexQuestion['query'] {
  const ofChannel = query.sort.column === 'chance' || (query.sort.column === 'worth' && query.for === 'channel')
  return ofChannel ? { ...query, sort: { column: 'volume', direction: 'desc' } } : query
}
