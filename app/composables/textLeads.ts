import { leadInTitle } from '../../core/demand/leadInTitle'
import type { FoundPhrase } from '../../core/demand/phrasesIn'
import { phraseKey } from '../../core/text/words'
import { api } from '~/composables/api'

/** Where phrases are looked at. */
export interface Where {
  region: string | null
  language: string
  workspace: string | undefined
}

/** Leads whose searches are asked for at most, and those in one go. */
const MOST_LEADS = 2000
const LEADS_AT_ONCE = 500
/** Titles in one question for the phrases that stand in them, in characters. */
const TITLES_AT_ONCE = 200_000

/** For each title the known phrase that it is most likely meant for, '' where none stands in it. */
export async function leadsOfTitles(titles: readonly string[], { region, language }: Where): Promise<string[]> {
  const phrases: FoundPhrase[] = []
  for (let from = 0; from < titles.length;) {
    let text = ''
    while (from < titles.length && text.length < TITLES_AT_ONCE) text += `${titles[from++]!}\n`
    phrases.push(...(await api('POST /api/phrases/found', { body: { region, language, text } })).rows)
  }
  return titles.map(leadInTitle(phrases))
}

/**
 * Searches a month of some leads, part by part; of very many those that come first.
 * @yields what is known of each part, by the phrase as it is kept.
 */
export async function* searchesOf(
  leads: readonly string[],
  where: Where,
): AsyncGenerator<ReadonlyMap<string, number | null>> {
  const wanted = [...new Set(leads.map(phraseKey))].filter(Boolean).slice(0, MOST_LEADS)
  for (let from = 0; from < wanted.length; from += LEADS_AT_ONCE) {
    const phrases = wanted.slice(from, from + LEADS_AT_ONCE)
    const { rows } = await api('POST /api/phrases/figures', { body: { ...where, phrases } })
    yield new Map(rows.map(({ phrase, volume }) => [phrase, volume]))
  }
}
