import { DAY } from '../../../core/time'
import { hash, normal, seeded } from './chance'
import { viewsBy } from './views'

/** What a day brings a video, chance left out: how often it is shown, and views by where they come from. */
export interface Flows {
  impressions: number
  search: number
  suggested: number
  subscribers: number
  web: number
  elsewhere: number
}
export const FLOWS = ['impressions', 'search', 'suggested', 'subscribers', 'web', 'elsewhere'] as const

/** A video whose views follow a formula, as those of all do that were not changed since the world was made. */
export interface FormulaVideo {
  code: string
  published_at: number
  /** Its views on the day on which the world was made. */
  views: number
  clicks: number
}

/**
 * What days bring a video by its formula, and beside it.
 *
 * @param gainOn views a day beside the formula; search brings them, and suggestions with it.
 */
export function formulaDays(
  { code, published_at, views, clicks }: FormulaVideo,
  madeOn: number,
  gainOn: (day: number) => number = () => 0,
) {
  const traits = seeded(hash(code))
  const parts = [0.25 + 0.35 * traits(), 0.2 + 0.3 * traits(), 0.05 + 0.1 * traits(), 0.03, 0.04]
  const all = parts.reduce((a, b) => a + b, 0)
  const rate = 0.02 + 0.1 * clicks
  return (day: number): Flows => {
    const sum = views * (viewsBy(day + DAY, published_at, madeOn) - viewsBy(day, published_at, madeOn))
    const [bySearch, bySuggestion, subscribers, web, elsewhere] = parts.map(part => (sum * part) / all) as [
      number,
      number,
      number,
      number,
      number,
    ]
    const found = bySearch + bySuggestion
    const more = found > 0 ? Math.max(0, 1 + gainOn(day) / found) : 1
    const [search, suggested] = [bySearch * more, bySuggestion * more]
    return { impressions: (search + suggested + subscribers) / rate, search, suggested, subscribers, web, elsewhere }
  }
}

/** What belongs to a day and a video alone, however the clock was moved there. */
export const luckOf = (code: string, day: number, seed: number) => seeded(hash(`${code}/${day}`) ^ seed)

/** Whole numbers as they come on a day by chance. A click is also shown: there are never fewer impressions. */
export function byChance(flows: Flows, luck: () => number): Flows {
  const noise = Math.exp(0.18 * normal(luck))
  const [impressions, ...views] = FLOWS.map(name => Math.floor(flows[name] * noise + luck())) as [
    number,
    number,
    number,
    number,
    number,
    number,
  ]
  const [search, suggested, subscribers, web, elsewhere] = views
  return {
    impressions: Math.max(search + suggested + subscribers, impressions),
    ...{ search, suggested, subscribers, web, elsewhere },
  }
}
