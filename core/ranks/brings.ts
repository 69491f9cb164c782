import type { Shares } from '../rivals/winnings'

/** What a rank is worth, in views a month. */
export interface Brings {
  /** Searches a month × the share of them that look at this rank. */
  now: number
  /** What the seat above would bring more; `null` for the first one. */
  more: number | null
}

/**
 * What a video's rank for a phrase brings it.
 * @param searches a month; `null` where they are not known. @param rank `null` beyond the results read.
 * @returns `null` where one of the two is not known: what lies beyond the results read brings little, but not nothing.
 */
export function bringsOf(searches: number | null, rank: number | null, shares: Shares): Brings | null {
  if (searches === null || rank === null) return null
  const share = (of: number) => shares[of - 1] ?? 0
  return {
    now: searches * share(rank),
    more: rank === 1 ? null : searches * (share(rank - 1) - share(rank)),
  }
}
