import { INTENT_WORDS, type Intent } from '../../core/demand/intentNames'
import { csvFile } from '../../core/formats/csv'
import type { EarnedKind } from '../../core/formats/earnedColumns'
import type { EarningGroup, Estimate } from '../../core/ranks/earned'
import type { EarnedAnswer } from '../../shared/earned'
import { inFull, span } from './figures'

/** How each kind of thing that a video brought is called. */
export const KIND_NAMES: Record<EarnedKind, { one: string; many: string }> = {
  click: { one: 'Click', many: 'Clicks' },
  call: { one: 'Call', many: 'Calls' },
  coupon: { one: 'Coupon', many: 'Coupons' },
  order: { one: 'Order', many: 'Orders' },
}

/** A figure that is reckoned: as many digits as tell it apart. */
export const reckoned = (value: number): string =>
  value === 0 ? '0' : value < 0.095 ? value.toPrecision(1) : value < 9.95 ? value.toFixed(1) : inFull(Math.round(value))

/** Between which values it lies 95 times in 100. */
export const between = ({ low, high }: Estimate, by = 1): string => span(reckoned(low * by), reckoned(high * by))

/** What searchers of a kind want, and where: *hire, marrowby*. */
export const kindOfView = ({ intent, place }: Pick<EarningGroup, 'intent' | 'place'>): string =>
  [INTENT_WORDS[intent as Intent] ?? 'no intent shown', place].filter(Boolean).join(', ')

/** An amount of money; a small one with its hundredths. */
export const moneyAmount = (value: number, currency: string): string =>
  new Intl.NumberFormat('en-GB', {
    style: 'currency',
    currency,
    maximumFractionDigits: value < 100 ? undefined : 0,
  }).format(value)

/** What each phrase brought, as a table to hand on. @param each what one is worth; `null` where it is not known. */
export function earnedCsv({ kind, currency, phrases }: EarnedAnswer, each: number | null): string {
  const counted = kind ? KIND_NAMES[kind].many.toLowerCase() : 'count'
  return csvFile(
    ['phrase', 'intent', 'place', 'views', counted, 'low', 'high', 'per 1000 views', 'worth', 'currency'],
    phrases.map(({ phrase, intent, place, views, count, rate }) => [
      phrase,
      intent || null,
      place || null,
      Math.round(views),
      ...[count.value, count.low, count.high, 1000 * rate.value].map(n => Number(n.toFixed(2))),
      each === null ? null : (count.value * each).toFixed(2),
      each === null ? null : currency,
    ]),
  )
}
