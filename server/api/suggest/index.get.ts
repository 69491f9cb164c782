import { z } from 'zod'
import { phraseKey } from '../../../core/text/words'
import { languageInput, regionInput } from '../../../shared/text'
import { queryOf, route } from '../../http/route'
import { isServiceFault } from '../../services/retry'

const question = z.object({ prefix: z.string().max(200).default(''), region: regionInput, language: languageInput.default('en') })

/** What both sources suggest while a seed is typed. A source that fails is named and the other answers. */
export default route(async (event, { services }) => {
  const { prefix, region, language } = queryOf(event, question)
  const missing: string[] = []
  const ask = async (name: string, call: Promise<{ data: string[] }>) => {
    try {
      return (await call).data.map(phraseKey)
    } catch (error) {
      if (!isServiceFault(error)) throw error
      missing.push(name)
      return []
    }
  }
  const [video, web] = await Promise.all([
    ask('the video site', services.site.suggest(prefix, region, language)), ask('web search', services.web.suggest(prefix, region, language)),
  ])
  const suggestions = [...new Set([...video, ...web])].map(phrase => ({ phrase, via: [...(video.includes(phrase) ? ['video'] : []), ...(web.includes(phrase) ? ['web'] : [])] }))
  // What both suggest comes first; each source's own order holds within.
  return { suggestions: suggestions.sort((a, b) => b.via.length - a.via.length).slice(0, 12), missing }
})
