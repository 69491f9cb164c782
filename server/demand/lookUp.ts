import { phraseKey } from '../../core/text/words'
import type { PhraseStore } from '../data/phrases'
import type { Services } from '../services/contract'
import { isServiceFault, withRetry, type Pace } from '../services/retry'

/** An older look is answered from the store all the same, and refreshed behind the answer. */
export const LOOK_AGE_MS = 86_400_000
/** Rows written in one go: a person's autosave waits no longer than this takes. */
const BATCH = 1000
/** Both suggestion sources are also asked for the seed with each letter after it. */
const LETTERS = ['', ...'abcdefghijklmnopqrstuvwxyz']

interface Deps { phrases: PhraseStore, services: Services, now?: () => number }

/** Phrases asked for at once when only their figures are wanted. */
const ASKED = 500

/**
 * Makes sure the store has figures of phrases a person put in the tray by hand: those unknown in
 * the region are asked for. What no service tells stays unknown.
 * @returns what could not be had, in words.
 */
export async function learn({ phrases, services }: Deps, list: readonly string[], region: string, language: string): Promise<string[]> {
  const unknown = list.map(phraseKey).filter(phrase => phrase && phrases.known(phrase, region, language)?.volume == null).slice(0, ASKED)
  const missing: string[] = []
  for (const each of unknown.length ? region ? [region, ''] : [''] : []) {
    try {
      const answer = await withRetry(() => services.demand.volumes(unknown, each || null, language))
      phrases.save(answer.data.figures.map(figure => ({ ...figure, region: each, monthsEnd: answer.data.monthsEnd })), language, { name: answer.source, kind: 'service' }, answer.at)
    } catch (error) {
      if (!isServiceFault(error)) throw error
      missing.push(each ? `figures for ${each}` : 'figures everywhere')
    }
  }
  return missing
}

/** After a refusal all questions wait a little, whoever asked. */
const pace: Pace = { until: 0 }

/** Looks under way, so that two screens asking for one seed make one look. */
const running = new Map<string, Promise<Look>>()

export interface Look {
  id: number
  missing: string[]
  /** The refresh under way behind an answer that has aged. */
  refreshing?: Promise<unknown>
}

/**
 * Makes sure the store knows what the services tell of a seed: related phrases, their figures in
 * the region and everywhere, and which sources suggest them. What a service fails to tell is
 * named in `missing`; what was told is kept.
 *
 * @param region '' for everywhere.
 */
export async function lookUp(deps: Deps, seed: string, region: string, language: string): Promise<Look> {
  const { phrases, now = Date.now } = deps
  const kept = phrases.look(seed, region, language)
  const young = kept !== null && now() - kept.at < LOOK_AGE_MS
  if (young && !kept.missing.length) return kept
  const key = `${language}\n${region}\n${phraseKey(seed)}`
  let work = running.get(key)
  if (!work) running.set(key, work = ask(deps, seed, region, language).finally(() => running.delete(key)))
  if (!kept || kept.missing.length) return work
  return { ...kept, refreshing: work.catch((error: unknown) => { console.error('A look could not be refreshed:', error) }) }
}

async function ask({ phrases, services, now = Date.now }: Deps, seed: string, region: string, language: string): Promise<Look> {
  const text = phraseKey(seed)
  const place = region || null
  const missing: string[] = []
  const part = async <Result>(what: string, call: () => Promise<Result>): Promise<Result | null> => {
    try {
      return await withRetry(call, { pace })
    } catch (error) {
      if (!isServiceFault(error)) throw error
      if (!missing.includes(what)) missing.push(what)
      return null
    }
  }
  const suggested = async (via: 'video' | 'web') => {
    const service = via === 'video' ? services.site : services.web
    const what = via === 'video' ? 'suggestions of the video site' : 'suggestions of web search'
    const answers = await Promise.all(LETTERS.map(letter => part(what, () => service.suggest(letter ? `${text} ${letter}` : text, place, language))))
    return new Set(answers.flatMap(answer => answer?.data ?? []).map(phraseKey))
  }
  const [related, fromSite, fromWeb] = await Promise.all([
    part('related phrases', () => services.demand.related(text, place, language)), suggested('video'), suggested('web'),
  ])
  const all = [...new Set([text, ...(related?.data ?? []).map(phraseKey), ...fromSite, ...fromWeb])]
  const regions = region ? [region, ''] : ['']
  for (const each of regions) {
    const where = each ? `figures for ${each}` : 'figures everywhere'
    const answer = await part(where, () => services.demand.volumes(all, each || null, language))
    if (!answer) continue
    if (!answer.complete && !missing.includes(where)) missing.push(where)
    const { figures, monthsEnd } = answer.data
    for (let from = 0; from < figures.length; from += BATCH) {
      const batch = figures.slice(from, from + BATCH).map(figure => ({ ...figure, region: each, monthsEnd }))
      phrases.save(batch, language, { name: answer.source, kind: 'service' }, answer.at)
      await new Promise(resolve => setImmediate(resolve))
    }
  }
  phrases.saveVia([...fromSite], language, 'video', now())
  phrases.saveVia([...fromWeb], language, 'web', now())
  return { id: phrases.saveLook(text, region, language, all, missing, now()), missing }
}
