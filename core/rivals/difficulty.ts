/** Seats on one result page. */
export const PAGE_SEATS = 20

export interface Difficulty {
  /** 0 to 100 over the twenty seats of page one, and over ranks 1–3, 4–10 and 11–20. */
  page: number
  front: number
  middle: number
  rest: number
}

/** A seat's weight falls with its rank as attention does: 1 / log2(rank + 1). */
export const seatWeight = (rank: number) => 1 / Math.log2(rank + 1)

/**
 * Difficulty for anyone: the weighted mean strength of page one, whatever depth was read. A truly empty seat counts 0;
 * a page without any result says nothing, neither of a phrase nobody films nor of one nobody can spell.
 *
 * @param strengths 0 to 1 by rank, first rank first, off-topic results already taken out.
 * @param complete false when the page came back half: there is then no difficulty.
 * @param unread seats of page one that nobody knows, because results were taken out and none beyond were read: they
 * count in nothing.
 */
export function difficulty(strengths: readonly number[], complete: boolean, unread = 0): Difficulty | null {
  if (!complete || !strengths.length) return null
  const over = (from: number, to: number) => {
    let sum = 0
    let weight = 0
    for (let rank = from; rank <= Math.min(to, PAGE_SEATS - unread); rank++) {
      const w = seatWeight(rank)
      weight += w
      sum += w * (strengths[rank - 1] ?? 0)
    }
    return weight > 0 ? (100 * sum) / weight : 0
  }
  return { page: over(1, PAGE_SEATS), front: over(1, 3), middle: over(4, 10), rest: over(11, PAGE_SEATS) }
}
