import { rankDay } from '../../../core/ranks/standing'
import { dayTableAnswer } from '../../http/dayTableAnswer'
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
    return dayTableAnswer(result, 'No column is named as the day.')
  })
})
