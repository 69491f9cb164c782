import type { Forecast } from './forecast'

/** Part of a phrase's searches that end in a look at the video of each rank, first rank first; editable. */
export type Shares = readonly number[]

/**
 * A falling curve whose sixty seats take about four searches in five: .22 of them the first, and
 * each rank k the k^1.1-th part of that. No site tells its own; put yours in the settings.
 */
export const SHARES: Shares = Array.from({ length: 60 }, (_, i) => 0.22 / Math.pow(i + 1, 1.1))
const DAYS = 90
const DAYS_A_MONTH = 30

export interface Winnings {
  /** Views over the first ninety days. */
  expected: number
  /** At the worse and the better end of the likely ranks. */
  low: number
  high: number
}

/** Views to win in ninety days from a phrase's searches. @returns `null` when the searches are unknown. */
export function viewsToWin(
  volume: number | null,
  { ranks, likely }: Pick<Forecast, 'ranks' | 'likely'>,
  shares: Shares = SHARES,
): Winnings | null {
  if (volume === null) return null
  const searches = (volume / DAYS_A_MONTH) * DAYS
  const share = (rank: number) => shares[rank - 1] ?? 0
  let expected = 0
  for (let k = 0; k < ranks.length; k++) expected += ranks[k]! * share(k + 1)
  return { expected: searches * expected, low: searches * share(likely[1]), high: searches * share(likely[0]) }
}

export interface Rate {
  currency: string
  /** Micros of the currency for a thousand views. */ lowMicros: number
  highMicros: number
}
export const RATES: Record<string, Rate> = {
  'GB': { currency: 'GBP', lowMicros: 1_200_000, highMicros: 4_500_000 },
  'US': { currency: 'USD', lowMicros: 1_800_000, highMicros: 6_500_000 },
  '': { currency: 'USD', lowMicros: 600_000, highMicros: 3_500_000 },
}

/** What views earn, as a range in whole micros. The rates are a guess to be replaced by one's own. */
export function earnings(
  views: { low: number; high: number },
  { lowMicros, highMicros }: Rate,
): { lowMicros: number; highMicros: number } {
  return {
    lowMicros: Math.round((views.low / 1000) * lowMicros),
    highMicros: Math.round((views.high / 1000) * highMicros),
  }
}
