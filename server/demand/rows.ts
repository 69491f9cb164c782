import { intentOf, isQuestion } from '../../core/demand/intent'
import type { Intent } from '../../core/demand/intentNames'
import { bitPeaks } from '../../core/demand/season'
import type { PlaceNames } from '../../core/demand/placeNames'
import { worth, type WorthInput, type WorthWeights, WORTH_WEIGHTS } from '../../core/demand/worth'
import { MODEL_VERSION } from '../../core/modelVersion'
import { learntChance } from '../../core/chance/model'
import { chanceOfPageOne, firstPage } from '../../core/rivals/forecast'
import type { PhraseRow, PhrasesAnswer } from '../../shared/phrases'
import type { KnownPhrase, Origin } from '../data/knownPhrases'
import { VIA, type PhraseStore } from '../data/phrases'
import type { PlaceStore } from '../data/places'
import type { IndexQuestion } from './indexQuestion'
import type { PhraseIndex } from './phraseIndex'
import type { OwnStanding } from './regionColumns'

/**
 * What a worth is worked out from: ease is what the difficulty leaves for anyone, or the chance of page one for a
 * channel.
 */
export const worthInput = (known: KnownPhrase, cap: number, ease: number | null, byChance = false): WorthInput => ({
  volume: known.volume,
  cap,
  ease,
  trend: known.trend,
  intent: known.intent,
  byChance,
})
export const easeForAnyone = ({ difficulty }: KnownPhrase) => (difficulty === null ? null : 1 - difficulty / 100)

/**
 * Chance of page one for a channel, by what was learnt where something was and by the constants elsewhere; `null` where
 * the page is not known whole, or the channel is not.
 */
export function chanceFor(
  { strengths, more, difficulty, hurdle }: KnownPhrase,
  own: OwnStanding | null,
  region: string,
): number | null {
  if (!own || !strengths || difficulty === null) return null
  const learnt = own.learnt?.[region]
  if (learnt && hurdle !== null) return learntChance(learnt, hurdle)
  const compared = firstPage(strengths, more)
  return chanceOfPageOne(own.strength, compared.strengths, compared.more, own.spread)
}

/** The site's own count, or an imported one. */
const competitionOf = (known: KnownPhrase) => known.titleMatches ?? known.competition

const viaOf = (via: number): ('video' | 'web')[] => [
  ...(via & VIA.video ? ['video' as const] : []),
  ...(via & VIA.web ? ['web' as const] : []),
]

const NO_ORIGIN: Origin = { months: [], monthsEnd: null, source: null, at: null }

export interface RowFor {
  cap: number
  chance?: number | null
  weights?: WorthWeights
  places?: PlaceNames
  /** Whose words tell its intent. */
  language?: string
  /** The intent of its wording, where that is classified already; `null` for none. */
  wording?: Intent | null
  /** Which of several seeds brought it. */
  seeds?: string[]
}

/** A known phrase as the API returns it; its months, source and time come as its origin. */
export function toRow(
  known: KnownPhrase,
  {
    cap,
    chance = null,
    weights = WORTH_WEIGHTS,
    places,
    language,
    wording = intentOf(known.text, places, [], language)?.intent ?? null,
    seeds,
  }: RowFor,
  origin: Origin = NO_ORIGIN,
): PhraseRow {
  return {
    phrase: known.text,
    words: known.words,
    volume: known.volume,
    volumeAll: known.volumeAll,
    months: origin.months,
    change: known.change,
    competition: competitionOf(known),
    difficulty: known.difficulty,
    results: known.results,
    readAs: known.readAs,
    worth: {
      anyone: worth(worthInput(known, cap, easeForAnyone(known)), weights),
      channel: worth(worthInput(known, cap, chance, true), weights),
    },
    chance,
    via: viaOf(known.via),
    videoBlock: known.videoBlock === null ? null : known.videoBlock === 1,
    advertiser: known.advertiser,
    tendency: known.trend?.direction ?? null,
    season:
      known.seasonStrength === null
        ? null
        : { strength: known.seasonStrength, peaks: bitPeaks(known.seasonPeaks ?? 0) },
    spiked: known.spiked === null ? null : known.spiked === 1,
    intent: wording ?? known.intent,
    question: isQuestion(known.text),
    ...(seeds ? { seeds } : {}),
    source: origin.source,
    at: origin.at,
  }
}

export interface RowsFrom {
  phrases: PhraseStore
  places: Pick<PlaceStore, 'names'>
}

/**
 * Tells what is known of a phrase as a row; `null` for one never heard of.
 * @param region '' for everywhere. @param viewer the channel it is judged for, and how; for anyone without.
 */
export function rowOf(
  { phrases, places }: RowsFrom,
  region: string,
  language: string,
  { own = null, weights }: { own?: OwnStanding | null; weights?: WorthWeights } = {},
): (phrase: string) => PhraseRow | null {
  const { cap } = phrases.cap(region)
  return phrase => {
    const known = phrases.known(phrase, region, language)
    return (
      known &&
      toRow(
        known,
        { cap, chance: chanceFor(known, own, region), weights, places: places.names(), language },
        phrases.originOf(known, region),
      )
    )
  }
}

export interface RowsQuestion extends IndexQuestion {
  missing: string[]
}

/**
 * Answers the phrases of a seed: the index says which, the store what is known of them. `startedAt` is by
 * `performance.now()`.
 */
export function answerPhrases(
  index: PhraseIndex,
  phrases: PhraseStore,
  question: RowsQuestion,
  startedAt = performance.now(),
): PhrasesAnswer & { caps: { region: string; cap: number; known: number }[] } {
  const { query, missing, weights } = question
  const { total, withheld, ids, chances, wordings, broughtBy, near, cap, caps } = index.answer(question)
  const found = phrases.rowsById(ids, query.region)
  const rows = found.map(({ known, origin }, i) =>
    toRow(
      known,
      {
        cap,
        chance: chances[i]!,
        weights,
        places: index.placeNames(),
        wording: wordings[i],
        ...(broughtBy[i] ? { seeds: broughtBy[i].map(n => query.seed[n]!) } : {}),
      },
      origin,
    ),
  )
  const monthsEnd = found.find(({ origin }) => origin.monthsEnd !== null)?.origin.monthsEnd ?? null
  const nearTexts = phrases.textsById(near.map(each => each.id))
  return {
    seed: query.seed.join(', '),
    seeds: query.seed,
    region: query.region || null,
    total,
    withheld,
    rows,
    monthsEnd,
    modelVersion: MODEL_VERSION,
    tookMs: performance.now() - startedAt,
    missing,
    near: near.map(({ why, seed }, i) => ({ phrase: nearTexts[i]!, why, seed: query.seed[seed]! })),
    caps,
  }
}
