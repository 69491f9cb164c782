import { z } from 'zod'
import { clusterPhrases } from '../../../core/rivals/clusters'
import type { ClustersAnswer } from '../../../shared/phrases'
import { languageInput, phraseInput, regionInput } from '../../../shared/text'
import { bodyOf, route } from '../../http/route'

const body = z.object({ phrases: z.array(phraseInput).max(5000), region: regionInput, language: languageInput.default('en') })

/** Groups the phrases named by the results they share, from kept pages. */
export default route(async (event, { phrases, results }): Promise<ClustersAnswer> => {
  const { phrases: list, region, language } = await bodyOf(event, body)
  const pages = list.flatMap((phrase) => {
    const known = phrases.known(phrase, region ?? '', language)
    const ids = known ? results.firstPage(known.id, region ?? '') : []
    return ids.length ? [{ phrase: known!.text, volume: known!.volume, ids }] : []
  })
  return { clusters: clusterPhrases(pages), withPages: pages.length }
})
