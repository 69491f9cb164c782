import { z } from 'zod'
import { clusterPhrases } from '../../../core/rivals/clusters'
import type { ClustersAnswer } from '../../../shared/phrases'
import { languageInput, phraseInput, regionInput } from '../../../core/text/inputs'
import { bodyOf, route } from '../../http/route'

/** Phrases read in one go. */
const AT_ONCE = 200
const body = z.object({
  phrases: z.array(phraseInput).max(5000),
  region: regionInput,
  language: languageInput.default('en'),
})

/** Groups the phrases named by the results they share, from kept pages. */
export default route(async (event, { phrases, results }): Promise<ClustersAnswer> => {
  const { phrases: list, region, language } = await bodyOf(event, body)
  const pages: { phrase: string; volume: number | null; ids: number[] }[] = []
  for (const [i, phrase] of list.entries()) {
    const known = phrases.known(phrase, region ?? '', language)
    const ids = known ? results.firstPage(known.id, region ?? '') : []
    if (ids.length) pages.push({ phrase: known!.text, volume: known!.volume, ids })
    // Others get their turn.
    if (i % AT_ONCE === AT_ONCE - 1) await new Promise(resolve => setImmediate(resolve))
  }
  return { clusters: clusterPhrases(pages), withPages: pages.length }
})
