import { rankDay } from '../../../core/ranks/standing'
import { Problem } from '../../http/problem'
import { route } from '../../http/route'
import { withUpload } from '../../http/upload'
import { workspaceOf } from '../../http/workspaceOf'
import { importDays } from '../../imports/importDays'
import { ownVideoNamed } from '../../ranks/ownVideoNamed'
import { readInThread } from '../../threads/readInThread'

/** A table of day figures of one's own videos. */
export default route('POST /api/import/analytics', (event, runtime, { query }) => {
  const { videoDays, uploads, importThread, now } = runtime
  const { videoId, columns, dates, decimal, zone, name } = query
  const { channelId } = workspaceOf(runtime, query.workspace)
  const question = { columns, order: dates ?? null, decimal: decimal ?? null, zone, today: rankDay(now()) }
  return withUpload(event, uploads, async ({ file, gone, report }) => {
    const result = await importDays(videoDays, readInThread(importThread, 'days', { file, ...question }), {
      source: name,
      videoOf: ownVideoNamed(runtime, channelId, videoId ?? null),
      signal: gone,
      report,
      now: now(),
    })
    if (result.kind === 'imported') return result.answer
    if (result.kind === 'unknown-order')
      throw new Problem(
        422,
        'unknown-order',
        `“${result.example}” can be read in two ways. Say which comes first: the day or the month.`,
        { example: result.example },
      )
    throw new Problem(422, 'unknown-columns', 'No column is named as the day. Match the columns.', {
      headers: result.headers,
      sample: result.sample,
    })
  })
})
