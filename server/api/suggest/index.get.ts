import { phraseKey } from '../../../core/text/words'
import { askable } from '../../http/askable'
import { route } from '../../http/route'
import { isServiceFault } from '../../services/retry'

/** Suggestions shown, and how many places one that both sources make moves up. */
const SHOWN = 12
const BOTH_AHEAD = 2

/** What both sources suggest while a seed is typed. A source that fails is named and the other answers. */
export default route('GET /api/suggest', async (event, runtime, { query }) => {
  const { services, mayAsk, ownDataOnly } = askable(event, runtime)
  const { prefix, region, language } = query
  if (!mayAsk) return { suggestions: [], missing: ownDataOnly ? [] : ['the video site', 'web search'] }
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
    ask('the video site', services.site.suggest(prefix, region, language)),
    ask('web search', services.web.suggest(prefix, region, language)),
  ])
  const both = new Set(video.filter(phrase => web.includes(phrase)))
  // Each source's own order holds; what both suggest moves up.
  const place = (phrase: string) =>
    Math.min(...[video.indexOf(phrase), web.indexOf(phrase)].filter(at => at >= 0)) -
    (both.has(phrase) ? BOTH_AHEAD : 0)
  const suggestions = [...new Set([...video, ...web])]
    .sort((a, b) => place(a) - place(b))
    .slice(0, SHOWN)
    .map(phrase => ({
      phrase,
      via: [
        ...(video.includes(phrase) ? (['video'] as const) : []),
        ...(web.includes(phrase) ? (['web'] as const) : []),
      ],
    }))
  return { suggestions, missing }
})
