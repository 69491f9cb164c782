import { clusterPhrases } from '../../../core/rivals/clusters'
import { route } from '../../http/route'

/** Phrases read in one go. */
const AT_ONCE = 200

/** Groups the phrases named by the results they share, from kept pages. */
export default route('POST /api/phrases/clusters', async (event, { phrases, results }, { body }) => {
  const { phrases: list, region, language } = body
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
