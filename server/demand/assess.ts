import { difficulty } from '../../core/rivals/difficulty'
import { RivalReader, strength, viewsPerDay } from '../../core/rivals/strength'
import { MODEL_VERSION } from '../../core/modelVersion'
import { readPhrase } from '../../core/text/match'
import { phraseKey } from '../../core/text/words'
import type { AssessedRow, ResultsAnswer } from '../../shared/phrases'
import type { PhraseStore } from '../data/phrases'
import type { KeptPage, PageToKeep, ResultStore } from '../data/results'
import type { Services } from '../services/contract'
import { isServiceFault, withRetry } from '../services/retry'
import { toRow } from './rows'

/** A kept page this young answers without asking again. */
export const PAGE_AGE_MS = 7 * 86_400_000
/** Searches asked for at once, and pages kept in one transaction. */
const AT_ONCE = 12

export interface AssessDeps { phrases: PhraseStore, results: ResultStore, services: Services, now?: () => number }

const readers = new Map<string, RivalReader>()
function readerFor(language: string): RivalReader {
  let reader = readers.get(language)
  if (!reader) readers.set(language, reader = new RivalReader(language))
  return reader
}

/** Asks for a result page and works out its strengths and difficulty; nothing is stored yet. */
async function readPage({ phrases, services }: AssessDeps, phrase: string, region: string, language: string, depth: number, signal?: AbortSignal): Promise<PageToKeep> {
  const [search, block] = await Promise.all([
    withRetry(() => services.site.search(phrase, region || null, language, depth), signal),
    // A missing answer about the video block leaves it unknown; it does not spoil the page.
    withRetry(() => services.web.videoBlock(phrase, region || null, language), signal).catch((error: unknown) => {
      if (!isServiceFault(error)) throw error
      return null
    }),
  ])
  const read = readPhrase(phrase, language)
  const reader = readerFor(language)
  const seats = search.data.videos.map(video => ({
    video,
    strength: strength(read, { ...video, subscribers: video.channel.subscribers, viewsPerDay: viewsPerDay(video.views, video.publishedAt, search.at) }, reader).strength,
  }))
  return {
    phraseId: phrases.phraseId(phrase, language), region, source: search.source, at: search.at, depth, complete: search.complete,
    titleMatches: search.data.titleMatches, videoBlock: block?.data ?? null, seats,
    difficulty: difficulty(seats.map(seat => seat.strength), search.complete),
  }
}

const fresh = (page: KeptPage | null, now: number, depth = 20): page is KeptPage =>
  page !== null && page.complete === 1 && page.model_version === MODEL_VERSION && page.depth >= depth && now - page.at < PAGE_AGE_MS

function rowOf({ phrases, results }: AssessDeps, phrase: string, region: string, language: string, problem: string | null): AssessedRow {
  const known = phrases.known(phrase, region, language)
  if (!known) return { phrase, difficulty: null, competition: null, worth: { anyone: null, channel: null }, videoBlock: null, complete: false, at: null, problem }
  const row = toRow(known, phrases.cap(region).cap)
  const page = results.latest(known.id, region)
  return { phrase: known.text, difficulty: row.difficulty, competition: row.competition, worth: row.worth, videoBlock: row.videoBlock, complete: page?.complete === 1, at: page?.at ?? null, problem }
}

/**
 * Assesses phrases in the order given, from kept pages where they are young enough and from the
 * services where not, and yields a row as each is done. Stops between batches when `signal` says
 * so; what was done is kept. A service's fault gives a row that says so.
 *
 * @param region '' for everywhere.
 */
export async function* assess(deps: AssessDeps, list: readonly string[], region: string, language: string, signal?: AbortSignal): AsyncGenerator<AssessedRow> {
  const { phrases, results, now = Date.now } = deps
  const wanted = [...new Set(list.map(phraseKey))]
  for (let from = 0; from < wanted.length && !signal?.aborted; from += AT_ONCE) {
    const batch = wanted.slice(from, from + AT_ONCE)
    const due = batch.filter((phrase) => {
      const known = phrases.known(phrase, region, language)
      return !known || !fresh(results.latest(known.id, region), now())
    })
    const problems = new Map<string, string>()
    const pages = await Promise.all(due.map(phrase => readPage(deps, phrase, region, language, 20, signal).catch((error: unknown) => {
      if (!isServiceFault(error)) throw error
      problems.set(phrase, (error as Error).message)
      return null
    })))
    results.keep(pages.filter(page => page !== null))
    for (const phrase of batch) yield rowOf(deps, phrase, region, language, problems.get(phrase) ?? null)
    await new Promise(resolve => setImmediate(resolve))
  }
}

/** The result page of a phrase, kept or asked for, to the depth wanted. */
export async function resultPage(deps: AssessDeps, phrase: string, region: string, language: string, depth: number): Promise<ResultsAnswer> {
  const { phrases, results, now = Date.now } = deps
  const key = phraseKey(phrase)
  const id = phrases.known(key, region, language)?.id
  let page = id === undefined ? null : results.latest(id, region)
  if (!fresh(page, now(), depth)) {
    const read = await readPage(deps, key, region, language, depth)
    results.keep([read])
    page = results.latest(read.phraseId, region)
  }
  const kept = page!
  return {
    phrase: key, region: region || null, at: kept.at, source: kept.source, complete: kept.complete === 1, titleMatches: kept.title_matches,
    difficulty: kept.difficulty === null ? null : { page: kept.difficulty, front: kept.front!, middle: kept.middle!, rest: kept.rest! },
    rows: results.rows(kept, depth),
  }
}
