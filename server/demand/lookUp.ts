import { DAY } from '../../core/time'
import { setImmediate as nextTurn } from 'node:timers/promises'
import { phraseKey } from '../../core/text/words'
import type { PhraseStore } from '../data/phrases'
import type { MayAsk, Services } from '../services/contract'
import type { AskedStore } from '../data/asked'
import { isServiceFault, withRetry } from '../services/retry'

/** An older look is answered from the store all the same, and refreshed behind the answer. */
export const LOOK_AGE_MS = DAY
/** What a look lacks is asked for again after so long, behind the answer. */
export const RETRY_MS = 60_000
/** Rows written in one go, most of them with months to be read: a person's autosave waits no longer than this takes. */
const BATCH = 100
/** Both suggestion sources are also asked for the seed with each letter after it. */
const LETTERS = ['', ...'abcdefghijklmnopqrstuvwxyz']

interface Deps extends MayAsk {
  phrases: PhraseStore
  services: Services
  asked: AskedStore
  now?: () => number
}

/** Phrases asked for at once when only their figures are wanted. */
const ASKED = 500

/**
 * Makes sure the store has figures of phrases a person put in the tray by hand: those unknown in
 * the region are asked for. What no service tells stays unknown, and is not asked for again at once.
 * @returns what could not be loaded, in words.
 */
export async function fetchMissingVolumes(
  { phrases, services, asked, mayAsk = true, ownDataOnly }: Deps,
  list: readonly string[],
  region: string,
  language: string,
): Promise<string[]> {
  if (ownDataOnly) return []
  const missing = new Set<string>()
  const unknown = [...new Set(list.map(phraseKey))].filter(
    phrase => phrase && phrases.known(phrase, region, language)?.volume == null,
  )
  for (const each of region ? [region, ''] : ['']) {
    const where = figuresIn(each)
    const what = (phrase: string) => ['volume', language, each, phrase]
    const due = unknown.filter(phrase => {
      const waits = asked.waits(what(phrase))
      if (waits?.problem != null || (!waits && !mayAsk)) missing.add(where)
      return !waits && mayAsk
    })
    for (let from = 0; from < due.length; from += ASKED) {
      const part = due.slice(from, from + ASKED)
      try {
        const answer = await withRetry(() => services.demand.volumes(part, each || null, language))
        const known = new Set(answer.data.figures.map(figure => phraseKey(figure.phrase)))
        await saveAnswer(phrases, answer, each, language)
        const unanswered = part.filter(phrase => !known.has(phrase)).map(what)
        if (answer.complete) asked.nothing(unanswered)
        else {
          missing.add(where)
          asked.failed(unanswered, 'The service returned only part of the data.')
        }
      } catch (error) {
        if (!isServiceFault(error)) throw error
        missing.add(where)
        asked.failed(part.map(what), (error as Error).message)
      }
    }
  }
  return [...missing]
}

/** Saves a service's figures for phrases in a region; other requests are answered in between. */
async function saveAnswer(
  phrases: PhraseStore,
  { data: { figures, monthsEnd }, source, at }: Awaited<ReturnType<Services['demand']['volumes']>>,
  region: string,
  language: string,
): Promise<void> {
  for (let from = 0; from < figures.length; from += BATCH) {
    phrases.save(
      figures.slice(from, from + BATCH).map(figure => ({ ...figure, region, monthsEnd })),
      language,
      { name: source, kind: 'service' },
      at,
    )
    await nextTurn()
  }
}

const figuresIn = (region: string) => (region ? `figures for ${region}` : 'figures everywhere')

/** Looks under way, so that two screens asking for one seed make one look. */
const running = new Map<string, Promise<Look>>()

export interface Look {
  /** `null` for a seed nobody asked the services about. */
  id: number | null
  missing: string[]
  /** The refresh under way behind an answer that has aged. */
  refreshing?: Promise<unknown>
}

/**
 * Makes sure the store knows what the services tell of a seed: related phrases, their figures in
 * the region and everywhere, and which sources suggest them. What a service fails to tell is
 * named in `missing`; what was told is kept.
 *
 * @param region '' for everywhere. @param anew asks the services now, however young the last look is.
 */
export async function lookUp(deps: Deps, seed: string, region: string, language: string, anew = false): Promise<Look> {
  const { phrases, mayAsk = true, ownDataOnly, now = Date.now } = deps
  const saved = phrases.look(seed, region, language)
  if (ownDataOnly) return { id: null, ...saved, missing: [] }
  if (!mayAsk) return saved ?? { id: null, missing: ['data from the services (not requested yet)'] }
  const young = saved !== null && now() - saved.at < (saved.missing.length ? RETRY_MS : LOOK_AGE_MS)
  if (young && !anew) return saved
  const key = `${language}\n${region}\n${phraseKey(seed)}`
  let work = running.get(key)
  if (!work) running.set(key, (work = ask(deps, seed, region, language).finally(() => running.delete(key))))
  if (!saved || anew) return work
  return {
    ...saved,
    refreshing: work.catch((error: unknown) => {
      console.error('A look could not be refreshed:', error)
    }),
  }
}

async function ask(
  { phrases, services, now = Date.now }: Deps,
  seed: string,
  region: string,
  language: string,
): Promise<Look> {
  const text = phraseKey(seed)
  const place = region || null
  const missing: string[] = []
  const part = async <Result>(what: string, call: () => Promise<Result>): Promise<Result | null> => {
    try {
      return await withRetry(call)
    } catch (error) {
      if (!isServiceFault(error)) throw error
      if (!missing.includes(what)) missing.push(what)
      return null
    }
  }
  const suggested = async (via: 'video' | 'web') => {
    const service = via === 'video' ? services.site : services.web
    const what = via === 'video' ? 'suggestions of the video site' : 'suggestions of web search'
    const answers = await Promise.all(
      LETTERS.map(letter => part(what, () => service.suggest(letter ? `${text} ${letter}` : text, place, language))),
    )
    return new Set(answers.flatMap(answer => answer?.data ?? []).map(phraseKey))
  }
  const [related, fromSite, fromWeb] = await Promise.all([
    part('related phrases', () => services.demand.related(text, place, language)),
    suggested('video'),
    suggested('web'),
  ])
  const all = [...new Set([text, ...(related?.data ?? []).map(phraseKey), ...fromSite, ...fromWeb])]
  const regions = region ? [region, ''] : ['']
  for (const each of regions) {
    const where = figuresIn(each)
    const answer = await part(where, () => services.demand.volumes(all, each || null, language))
    if (!answer) continue
    if (!answer.complete && !missing.includes(where)) missing.push(where)
    await saveAnswer(phrases, answer, each, language)
  }
  phrases.saveVia([...fromSite], language, 'video', now())
  phrases.saveVia([...fromWeb], language, 'web', now())
  return { id: phrases.saveLook(text, region, language, all, missing, now()), missing }
}
