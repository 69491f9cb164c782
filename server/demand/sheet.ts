import { season } from '../../core/demand/season'
import { spike } from '../../core/demand/spike'
import { demandStory } from '../../core/demand/story'
import { intentOf } from '../../core/demand/intent'
import type { PlaceNames } from '../../core/demand/placeNames'
import { meanings } from '../../core/demand/meanings'
import { trend } from '../../core/demand/trend'
import { worthWorking } from '../../core/demand/worth'
import { MODEL_VERSION } from '../../core/modelVersion'
import type { PhraseDetail, PhraseSheet } from '../../shared/phrases'
import type { Settings } from '../../shared/workspace'
import type { PhraseStore } from '../data/phrases'
import type { ResultStore } from '../data/results'
import { chanceBefore, chanceWorking } from './chanceWorking'
import type { LearntModels } from '../rivals/learntModels'
import type { OwnStanding } from './regionColumns'
import { chanceFor, easeForAnyone, toRow, worthInput } from './rows'

export interface SheetFor {
  chances?: Pick<LearntModels, 'inUse'>
  channel?: { id: string | null; subscribers: number | null }
  own: OwnStanding | null
  settings: Settings
  places: PlaceNames
}

/** Everything known of one phrase, with the working of its worth; `null` for an unknown phrase. */
export function answerDetail(
  phrases: PhraseStore,
  results: ResultStore,
  phrase: string,
  regionCode: string | null,
  language: string,
  { own, settings, places, chances, channel }: SheetFor,
): PhraseDetail | null {
  const region = regionCode ?? ''
  const known = phrases.known(phrase, region, language)
  if (!known) return null
  const cap = phrases.cap(region)
  const origin = phrases.originOf(known, region)
  const page = results.effective(known.id, region)
  const chance = chanceFor(known, own, region)
  const { weights } = settings
  const { factors, heldBackBy } = worthWorking(worthInput(known, cap.cap, easeForAnyone(known)), weights)
  const forChannel = own ? worthWorking(worthInput(known, cap.cap, chance, true), weights) : null
  return {
    ...toRow(known, { cap: cap.cap, chance, weights, places, language }, origin),
    region: regionCode,
    monthsEnd: origin.monthsEnd,
    trend: known.trend,
    difficultyParts:
      page && page.difficulty !== null
        ? { page: page.difficulty, front: page.front!, middle: page.middle!, rest: page.rest! }
        : null,
    worthWorking: { cap: cap.cap, capAt: cap.at, factors, heldBackBy },
    channelWorking: forChannel && { factors: forChannel.factors, heldBackBy: forChannel.heldBackBy },
    chanceWorking: chanceWorking(known, own, region, { chances, channel }),
    chanceBefore: chanceBefore(known, own, region, chance),
    pageAt: page?.at ?? null,
    figures: phrases.figuresOf(phrase, language).map(each => ({ ...each, region: each.region || null })),
    modelVersion: page?.model_version ?? MODEL_VERSION,
  }
}

/**
 * What the sheet of a phrase tells beside its figures: its months in words, what its results mean, who stands on top.
 */
export function answerSheet(
  phrases: PhraseStore,
  results: ResultStore,
  detail: PhraseDetail,
  regionCode: string | null,
  language: string,
  places: PlaceNames,
): Omit<PhraseSheet, 'interest' | 'related' | 'rising' | 'note' | 'noteRevision' | 'missing'> {
  const region = regionCode ?? ''
  const known = phrases.known(detail.phrase, region, language)!
  const lastMonth = detail.monthsEnd ? Number(detail.monthsEnd.slice(5, 7)) - 1 : 0
  const found = detail.monthsEnd ? season(detail.months, lastMonth) : null
  const tendency = trend(detail.months)
  const burst = spike(detail.months)
  const page = results.latest(known.id, region)
  const seats = page ? results.seats(page, 60) : []
  const onTopic = seats.filter(seat => !seat.off)
  return {
    detail,
    season: found,
    trend: tendency,
    spike: burst,
    story: demandStory({ season: found, trend: tendency, spike: burst, lastMonth, months: detail.months.length }),
    intent: intentOf(
      detail.phrase,
      places,
      onTopic.slice(0, 20).map(seat => seat.title),
      language,
    ),
    meanings: meanings(
      detail.phrase,
      seats.map(seat => ({
        id: seat.code,
        channel: seat.channel_id,
        title: seat.title,
        tags: seat.tags === null ? null : (JSON.parse(seat.tags) as string[]),
      })),
      language,
    ).map(each => ({ ...each, titles: each.ids.slice(0, 3).map(id => seats.find(seat => seat.code === id)!.title) })),
    top: onTopic.slice(0, 5).map(seat => ({
      videoId: seat.code,
      rank: seat.rank,
      title: seat.title,
      channel: seat.channel_title,
      subscribers: seat.subscribers,
      views: seat.views,
      publishedAt: seat.published_at,
      thumbnail: seat.thumbnail,
      strength: seat.strength,
    })),
    competitionPerThousand:
      detail.competition !== null && detail.volume ? (detail.competition / detail.volume) * 1000 : null,
  }
}
