import { DAY } from '../../core/time'
import { STRENGTHS_SINCE } from '../../core/modelVersion'
import type { PlaceNames } from '../../core/demand/placeNames'
import type { WorthWeights } from '../../core/demand/worth'
import { phraseKey } from '../../core/text/words'
import type { AssessedRow } from '../../shared/phrases'
import type { PhraseStore } from '../data/phrases'
import type { SavedPage, PageKind, PageToKeep, ResultStore } from '../data/results'
import type { LearntModels } from '../rivals/learntModels'
import type { PageReader } from '../rivals/pageReader'
import { serviceError, type Answer, type MayAsk, type SearchAnswer, type Services } from '../services/contract'
import { isServiceFault, isStop, withRetry } from '../services/retry'
import type { Switchboard } from '../services/switchboard'
import type { OwnStanding } from './regionColumns'
import { chanceFor, toRow } from './rows'

/** A kept page this young answers without asking again. */
export const PAGE_AGE_MS = 7 * DAY
/** Searches asked for at once, and pages kept in one transaction. */
const AT_ONCE = 12
/** Milliseconds of rows from kept pages after which other work gets its turn. */
const BREATH = 8

export interface AssessDeps extends MayAsk {
  phrases: PhraseStore
  results: ResultStore
  services: Services & Partial<Pick<Switchboard, 'superseded'>>
  reader: PageReader
  /** What was learnt of how sites rank, where anything was. */
  chances?: Pick<LearntModels, 'inUse'>
  now?: () => number
}
/** For viewer a phrase is assessed besides for anyone. */
export interface AssessFor {
  own?: OwnStanding | null
  weights?: WorthWeights
  places?: PlaceNames
}

/** Pages being asked for, so that two who want one do not both ask for it and keep it twice. */
const underWay = new Map<string, Promise<unknown>>()
const pageName = (phrase: string, region: string, language: string, depth: number, kind: PageKind) =>
  [language, region, phrase, depth, kind].join('\n')

/** Does work on pages that nobody else may ask for meanwhile. @returns what it gives. */
function alone<Result>(names: readonly string[], work: () => Promise<Result>): Promise<Result> {
  const mine = work().finally(() => {
    for (const name of names) if (underWay.get(name) === settled) underWay.delete(name)
  })
  // Whoever waits looks at what is kept then; why it failed is told to the one who asked.
  const settled = mine.catch(() => undefined)
  for (const name of names) underWay.set(name, settled)
  return mine
}

interface ServicePage {
  phrase: string
  search: Answer<SearchAnswer>
  block: boolean | null
}

async function askPage(
  { services }: AssessDeps,
  phrase: string,
  region: string,
  language: string,
  depth: number,
  signal?: AbortSignal,
): Promise<ServicePage> {
  const [search, block] = await Promise.all([
    withRetry(() => services.site.search(phrase, region || null, language, depth), { signal }),
    // A missing answer about the video block leaves it unknown; it does not spoil the page.
    withRetry(() => services.web.videoBlock(phrase, region || null, language), { signal }).catch((error: unknown) => {
      if (!isServiceFault(error)) throw error
      return null
    }),
  ])
  return { phrase, search, block: block?.data ?? null }
}

/** The videos of a web search's block, as a page of their own. */
async function askBlock(
  { services }: AssessDeps,
  phrase: string,
  region: string,
  language: string,
): Promise<ServicePage> {
  const answer = await withRetry(() => services.web.blockVideos(phrase, region || null, language))
  return {
    phrase,
    search: { ...answer, data: { titleMatches: null, videos: answer.data } },
    block: answer.data.length > 0,
  }
}

const goesOn = ({ complete, data }: Answer<SearchAnswer>, depth: number) => data.videos.length >= depth || !complete

/** Reads pages in the reading thread and makes them ready to be kept. */
async function readPages(
  { phrases, reader, chances }: AssessDeps,
  received: readonly ServicePage[],
  region: string,
  language: string,
  depth: number,
  kind: PageKind,
): Promise<PageToKeep[]> {
  const read = await reader.read(
    received.map(({ phrase, search }) => {
      const learnt = kind === 'site' ? (chances?.inUse(region, { language, source: search.source }) ?? null) : null
      return {
        phrase,
        language,
        at: search.at,
        videos: search.data.videos,
        more: goesOn(search, depth),
        learnt: learnt && { region, at: learnt.at },
      }
    }),
  )
  const ids = phrases.phraseIds(
    received.map(page => page.phrase),
    language,
  )
  return received.map(({ search, block }, i) => ({
    phraseId: ids[i]!,
    region,
    kind,
    source: search.source,
    at: search.at,
    depth,
    complete: search.complete,
    more: goesOn(search, depth),
    titleMatches: search.data.titleMatches,
    videoBlock: block,
    intent: read[i]!.intent,
    hurdle: search.complete ? read[i]!.hurdle : null,
    seats: search.data.videos.map((video, k) => ({ video, strength: read[i]!.strengths[k]! })),
  }))
}

/**
 * Whether a page answers without asking again. One that a person imported does at any age and depth: what a service
 * tells instead may be something else, and is asked for only by hand.
 */
const fresh = ({ services }: AssessDeps, page: SavedPage | null, now: number, depth = 20): page is SavedPage =>
  page !== null &&
  page.complete === 1 &&
  (page.imported === 1 ||
    (!services.superseded?.(page.source) &&
      page.model_version >= STRENGTHS_SINCE &&
      (page.depth >= depth || page.more === 0) &&
      now - page.at < PAGE_AGE_MS))

function assessedRow(
  { phrases, results }: AssessDeps,
  phrase: string,
  region: string,
  language: string,
  problem: string | null,
  { own = null, weights, places }: AssessFor,
): AssessedRow {
  const known = phrases.known(phrase, region, language)
  if (!known)
    return {
      phrase,
      difficulty: null,
      competition: null,
      results: null,
      readAs: null,
      worth: { anyone: null, channel: null },
      chance: null,
      videoBlock: null,
      intent: null,
      complete: false,
      at: null,
      problem,
    }
  const chance = chanceFor(known, own, region)
  const row = toRow(known, { cap: phrases.cap(region).cap, chance, weights, places, language })
  const page = results.latest(known.id, region)
  return {
    phrase: known.text,
    difficulty: row.difficulty,
    competition: row.competition,
    results: row.results,
    readAs: row.readAs,
    worth: row.worth,
    chance: row.chance,
    videoBlock: row.videoBlock,
    intent: row.intent,
    complete: page?.complete === 1,
    at: page?.at ?? null,
    problem,
  }
}

/**
 * Assesses phrases in the order given, from kept pages where they are young enough and from the
 * services where not, and yields a row as each is done. Stops at once when `signal` says so; what was
 * done is kept. A service's fault gives a row that says so.
 *
 * @param region '' for everywhere.
 */
export async function* assess(
  deps: AssessDeps,
  list: readonly string[],
  region: string,
  language: string,
  signal?: AbortSignal,
  viewer: AssessFor = {},
): AsyncGenerator<AssessedRow> {
  const { phrases, results, mayAsk = true, ownDataOnly, now = Date.now } = deps
  const wanted = [...new Set(list.map(phraseKey))]
  let restedAt = performance.now()
  for (let from = 0; from < wanted.length && !signal?.aborted; from += AT_ONCE) {
    const batch = wanted.slice(from, from + AT_ONCE)
    const stale = (phrase: string) => {
      const known = phrases.known(phrase, region, language)
      return !known || !fresh(deps, results.latest(known.id, region), now())
    }
    const nameOf = (phrase: string) => pageName(phrase, region, language, 20, 'site')
    await Promise.all(batch.filter(stale).map(phrase => underWay.get(nameOf(phrase))))
    const lacking = batch.filter(stale)
    const due = mayAsk ? lacking : []
    const problems = new Map<string, string>(mayAsk || ownDataOnly ? [] : lacking.map(phrase => [phrase, NOT_ASKED]))
    if (due.length)
      await alone(due.map(nameOf), async () => {
        const received = await Promise.all(
          due.map(phrase =>
            askPage(deps, phrase, region, language, 20, signal).catch((error: unknown) => {
              if (!isServiceFault(error) && !isStop(error)) throw error
              problems.set(phrase, (error as Error).message)
              return null
            }),
          ),
        )
        results.save(
          await readPages(
            deps,
            received.filter(page => page !== null),
            region,
            language,
            20,
            'site',
          ),
        )
      })
    for (const phrase of batch)
      if (!signal?.aborted || !problems.has(phrase))
        yield assessedRow(deps, phrase, region, language, problems.get(phrase) ?? null, viewer)
    if (due.length || performance.now() - restedAt > BREATH) {
      await new Promise(resolve => setImmediate(resolve))
      restedAt = performance.now()
    }
  }
}

const NOT_ASKED = 'Showing saved data; the services were not contacted.'

/**
 * The kept page of a phrase, asked for when it is too old or too short. A service's fault leaves an old page standing,
 * if there is one.
 */
export async function keptPage(
  deps: AssessDeps,
  phrase: string,
  region: string,
  language: string,
  depth: number,
  kind: PageKind = 'site',
  anew = false,
): Promise<{ page: SavedPage; problem: string | null }> {
  const { phrases, results, mayAsk = true, ownDataOnly, now = Date.now } = deps
  const key = phraseKey(phrase)
  const latest = () => {
    const id = phrases.known(key, region, language)?.id
    return id === undefined ? null : results.latest(id, region, kind)
  }
  const young = (page: SavedPage | null): page is SavedPage =>
    kind === 'web'
      ? page !== null && !deps.services.superseded?.(page.source) && now() - page.at < PAGE_AGE_MS
      : fresh(deps, page, now(), depth)
  const name = pageName(key, region, language, depth, kind)
  const before = latest()
  if (young(before) && !anew) return { page: before, problem: null }
  if (!mayAsk) {
    if (before) return { page: before, problem: ownDataOnly ? null : NOT_ASKED }
    if (ownDataOnly)
      throw serviceError('NoService', `No result page of “${key}” is kept. Import one in the Library, under Sources.`)
    throw serviceError(
      'NotAsked',
      `No saved results for “${key}”, and the services were not contacted. Someone with write access can load them; programs use POST.`,
    )
  }
  const other = underWay.get(name)
  if (other) {
    await other
    const page = latest()
    if (young(page)) return { page, problem: null }
  }
  try {
    return await alone([name], async () => {
      const received =
        kind === 'site'
          ? await askPage(deps, key, region, language, depth)
          : await askBlock(deps, key, region, language)
      const [read] = await readPages(deps, [received], region, language, depth, kind)
      results.save([read!])
      return { page: results.latest(read!.phraseId, region, kind)!, problem: null }
    })
  } catch (error) {
    const kept = latest()
    if (!kept || !isServiceFault(error)) throw error
    return { page: kept, problem: (error as Error).message }
  }
}
