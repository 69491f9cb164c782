import { worth, worthWorking, type WorthInput } from '../../core/demand/worth'
import { MODEL_VERSION } from '../../core/modelVersion'
import { normaliseWord, words } from '../../core/text/words'
import type { PhraseDetail, PhraseRow, PhrasesAnswer, PhrasesQuery } from '../../shared/phrases'
import { VIA, type KnownPhrase, type PhraseStore } from '../data/phrases'
import type { ResultStore } from '../data/results'

interface Derived { known: KnownPhrase, worth: number | null, competition: number | null }

const worthInput = (known: KnownPhrase, cap: number): WorthInput => ({
  volume: known.volume,
  cap,
  ease: known.difficulty === null ? null : 1 - known.difficulty / 100,
  trend: known.trend,
})

/** The site's own count, or what an import told. */
const competitionOf = (known: KnownPhrase) => known.titleMatches ?? known.competition

const viaOf = (via: number): ('video' | 'web')[] => [...(via & VIA.video ? ['video' as const] : []), ...(via & VIA.web ? ['web' as const] : [])]

type Origin = ReturnType<PhraseStore['originOf']>
const NO_ORIGIN: Origin = { months: [], monthsEnd: null, source: null, at: null }

/** A known phrase as the API tells it; its months, source and time come as its origin. `worth.channel` is unknown until a channel's own strength is. */
export function toRow(known: KnownPhrase, cap: number, origin: Origin = NO_ORIGIN): PhraseRow {
  return {
    phrase: known.text,
    words: known.words,
    volume: known.volume,
    volumeAll: known.volumeAll,
    months: origin.months,
    change: known.change,
    competition: competitionOf(known),
    difficulty: known.difficulty,
    worth: { anyone: worth(worthInput(known, cap)), channel: null },
    via: viaOf(known.via),
    videoBlock: known.videoBlock === null ? null : known.videoBlock === 1,
    source: origin.source,
    at: origin.at,
  }
}

const bits = (via: number) => (via & 1) + (via >> 1 & 1)

const SORTS: Record<PhrasesQuery['sort']['column'], (row: Derived) => number | string | null> = {
  phrase: row => row.known.text,
  words: row => row.known.words,
  volume: row => row.known.volume,
  volumeAll: row => row.known.volumeAll,
  change: row => row.known.change,
  competition: row => row.competition,
  difficulty: row => row.known.difficulty,
  worth: row => row.worth,
  via: row => bits(row.known.via),
}

/** Sorts by a column, unknown ones last whichever way, ties by falling volume and then by text. */
function sorted(rows: Derived[], { column, direction }: PhrasesQuery['sort']): Derived[] {
  const key = SORTS[column]
  const sign = direction === 'asc' ? 1 : -1
  return rows.map(row => ({ row, at: key(row) })).sort((a, b) => {
    if (a.at === null || b.at === null) {
      if (a.at !== b.at) return a.at === null ? 1 : -1
    } else if (a.at !== b.at) return a.at < b.at ? -sign : sign
    return (b.row.known.volume ?? -1) - (a.row.known.volume ?? -1) || (a.row.known.text < b.row.known.text ? -1 : 1)
  }).map(({ row }) => row)
}

function keep(query: PhrasesQuery): (row: Derived) => boolean {
  const { minWords, maxWords, minVolume, maxDifficulty } = query
  const wanted = query.contains ? words(query.contains).map(word => word.norm) : []
  return ({ known }) => {
    if (minWords !== undefined && known.words < minWords) return false
    if (maxWords !== undefined && known.words > maxWords) return false
    if (minVolume !== undefined && (known.volume === null || known.volume < minVolume)) return false
    // A phrase not assessed yet may still turn out easy: only a known difficulty rules it out.
    if (maxDifficulty !== undefined && known.difficulty !== null && known.difficulty > maxDifficulty) return false
    if (!wanted.length) return true
    const have = known.text.split(/[\s-]+/u).map(normaliseWord)
    return wanted.every(word => have.includes(word))
  }
}

/** Answers the phrases of a seed from the store. `startedAt` is by `performance.now()`. */
export function answerPhrases(phrases: PhraseStore, query: PhrasesQuery, look: { id: number, missing: string[] } | null, startedAt: number): PhrasesAnswer {
  const region = query.region ?? ''
  const { cap } = phrases.cap(region)
  const known = phrases.forSeed(query.seed, region, query.language, look?.id ?? null)
  const kept = known.map((each): Derived => ({ known: each, worth: worth(worthInput(each, cap)), competition: competitionOf(each) })).filter(keep(query))
  const origins = sorted(kept, query.sort).slice(query.offset, query.offset + query.limit).map(row => ({ row, origin: phrases.originOf(row.known, region) }))
  return {
    seed: query.seed,
    region: query.region,
    total: kept.length,
    rows: origins.map(({ row, origin }) => toRow(row.known, cap, origin)),
    monthsEnd: origins.find(({ origin }) => origin.monthsEnd)?.origin.monthsEnd ?? null,
    modelVersion: MODEL_VERSION,
    tookMs: performance.now() - startedAt,
    missing: look?.missing ?? [],
  }
}

/** Everything known of one phrase, with the working of its worth; `null` for an unknown phrase. */
export function answerDetail(phrases: PhraseStore, results: ResultStore, phrase: string, regionCode: string | null, language: string): PhraseDetail | null {
  const region = regionCode ?? ''
  const known = phrases.known(phrase, region, language)
  if (!known) return null
  const cap = phrases.cap(region)
  const origin = phrases.originOf(known, region)
  const page = results.latest(known.id, region)
  const { factors, heldBackBy } = worthWorking(worthInput(known, cap.cap))
  return {
    ...toRow(known, cap.cap, origin),
    region: regionCode,
    monthsEnd: origin.monthsEnd,
    trend: known.trend,
    difficultyParts: page && page.difficulty !== null ? { page: page.difficulty, front: page.front!, middle: page.middle!, rest: page.rest! } : null,
    worthWorking: { cap: cap.cap, capAt: cap.at, factors, heldBackBy },
    pageAt: page?.at ?? null,
    figures: phrases.figuresOf(phrase, language).map(each => ({ ...each, region: each.region || null })),
    modelVersion: MODEL_VERSION,
  }
}
