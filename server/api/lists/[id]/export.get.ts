import { setResponseHeader } from 'h3'
import { Readable } from 'node:stream'
import { listAsCsv, listAsJson } from '../../../demand/listExport'
import { rowOf } from '../../../demand/rows'
import { fileNameOf } from '../../../http/fileName'
import { listOf } from '../../../http/listOf'
import { route } from '../../../http/route'

/** A list as a file, however long. */
export default route('GET /api/lists/:id/export', (event, runtime, { query }) => {
  const list = listOf(event, runtime)
  const { format, region, language } = query
  const name = fileNameOf(list.name, 'phrases')
  setResponseHeader(event, 'Content-Disposition', `attachment; filename="${name}.${format}"`)
  setResponseHeader(
    event,
    'Content-Type',
    format === 'json' ? 'application/json; charset=utf-8' : 'text/csv; charset=utf-8',
  )
  const phrases = runtime.lists.phrases(list.id)
  const rowFor = rowOf(runtime, region ?? '', language)
  return Readable.from(format === 'json' ? listAsJson(list, phrases, rowFor) : listAsCsv(phrases, rowFor))
})
