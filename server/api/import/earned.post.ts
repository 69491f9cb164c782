import { countsAnything } from '../../../core/formats/earnedColumns'
import { rankDay } from '../../../core/ranks/standing'
import { dayTableAnswer } from '../../http/dayTableAnswer'
import { Problem } from '../../http/problem'
import { route } from '../../http/route'
import { withUpload } from '../../http/upload'
import { workspaceOf } from '../../http/workspaceOf'
import { importEarned } from '../../imports/importEarned'
import { earnedCurrency } from '../../ranks/earned'
import { ownVideoLinked } from '../../ranks/ownVideoLinked'
import { readInThread } from '../../threads/readInThread'

/** A table of clicks, calls, coupons and orders that one's own videos brought. */
export default route('POST /api/import/earned', (event, runtime, { query }) => {
  const { earned, uploads, importThread, workspaces, now } = runtime
  const { videoId, columns, dates, decimal, zone } = query
  const { id, channelId } = workspaceOf(runtime, query.workspace)
  if (columns && !countsAnything(columns))
    throw new Problem(400, 'nothing-counted', 'Choose a column that counts clicks, calls, coupons or orders.')
  const currency = earnedCurrency(workspaces, id)
  const question = { columns, order: dates ?? null, decimal: decimal ?? null, zone, today: rankDay(now()), currency }
  return withUpload(event, uploads, async ({ file, gone, report }) => {
    const result = await importEarned(earned, readInThread(importThread, 'earned', { file, ...question }), {
      workspace: id,
      videoOf: ownVideoLinked(runtime, channelId, videoId ?? null),
      signal: gone,
      report,
    })
    return dayTableAnswer(result, 'No column is named as the day, or none counts anything.')
  })
})
