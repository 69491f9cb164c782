import { words } from '../../core/text/words'
import { viewsPerDay } from '../../core/rivals/strength'
import { askable } from '../http/askable'
import { route } from '../http/route'
import { toSiteVideo } from '../data/videos'
import { isServiceFault, withRetry } from '../services/retry'

const AGE_MS = 3_600_000

/** What is trending in a region, filtered by words of titles and tags. */
export default route('GET /api/trending', async (event, runtime, { query }) => {
  const { videos, services, asked, mayAsk, ownDataOnly } = askable(event, runtime)
  const { region, language, contains, anew } = query
  const saved = videos.trending(region ?? '')
  let problem: string | null = null
  const what = ['trending', region ?? '']
  const waits = anew === '1' ? null : asked.waits(what)
  const due = anew === '1' || !saved.length || services.now() - saved[0]!.told_at > AGE_MS
  if (waits) problem = waits.problem
  else if (ownDataOnly) problem = null
  else if (due && !mayAsk) problem = 'Showing saved data; the site was not contacted.'
  else if (due) {
    try {
      const answer = await withRetry(() => services.site.trending(region, language))
      if (!answer.data.length) asked.nothing([what])
      videos.saveTrending(region ?? '', answer.data, answer.source, answer.at)
    } catch (error) {
      if (!isServiceFault(error)) throw error
      problem = (error as Error).message
      asked.failed([what], problem)
    }
  }
  const wanted = words(contains ?? '').map(word => word.norm)
  const rows = videos.trending(region ?? '')
  const holds = (text: string) => {
    const have = words(text).map(word => word.norm)
    return wanted.every(norm => have.includes(norm))
  }
  return {
    region,
    at: rows[0]?.told_at ?? null,
    source: rows[0]?.source ?? null,
    total: rows.length,
    problem,
    rows: rows
      .filter(row => !wanted.length || holds(`${row.title} ${row.tags ?? ''}`))
      .map(row => {
        const { id, ...video } = toSiteVideo(row)
        return {
          rank: row.rank,
          videoId: id,
          ...video,
          viewsPerDay:
            row.views === null || row.published_at === null
              ? null
              : viewsPerDay(row.views, row.published_at, row.told_at),
        }
      }),
  }
})
