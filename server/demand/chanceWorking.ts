import { learntChance, ownParts } from '../../core/chance/model'
import { uncorrected } from '../../core/chance/recalibrated'
import type { PhraseDetail } from '../../shared/phrases'
import type { KnownPhrase } from '../data/knownPhrases'
import type { SheetFor } from './sheet'
import type { OwnStanding } from './regionColumns'
import { chanceFor } from './rows'

/** What a learnt chance is made of; `null` where the chance is by fixed weights, or unknown. */
export function chanceWorking(
  known: KnownPhrase,
  own: OwnStanding | null,
  region: string,
  { chances, channel }: Pick<SheetFor, 'chances' | 'channel'>,
): PhraseDetail['chanceWorking'] {
  const mine = own?.learnt?.[region]
  const found = chances?.inUse(region)
  const { hurdle } = known
  if (!own || !mine || !found || !channel || hurdle === null) return null
  const { youth, ...parts } = ownParts(found.model, channel.id, channel.subscribers)
  return {
    constants: chanceFor(known, { strength: own.strength, spread: own.spread }, region),
    pages: found.pages,
    at: found.at,
    pairs: { learnt: found.judged.learnt, constants: found.judged.constants },
    // That it is new is the same for all phrases: it goes with what the page asks.
    parts: [
      ...(['size', 'views', 'channel'] as const).map(name => ({ name, value: parts[name] })),
      { name: 'page' as const, value: youth - hurdle },
    ],
    range: [
      learntChance({ ...mine, value: mine.value - mine.spread, spread: 0 }, hurdle),
      learntChance({ ...mine, value: mine.value + mine.spread, spread: 0 }, hurdle),
    ],
  }
}

/** What a chance was before it was corrected by what came of earlier forecasts; `null` where nothing corrects it. */
export function chanceBefore(
  { hurdle }: KnownPhrase,
  own: OwnStanding | null,
  region: string,
  chance: number | null,
): number | null {
  const learnt = hurdle === null ? undefined : own?.learnt?.[region]
  const how = learnt ? learnt.recalibration : own?.spread.recalibration
  return how && chance !== null ? uncorrected(how, chance) : null
}
