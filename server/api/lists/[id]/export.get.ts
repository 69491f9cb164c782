import { setResponseHeader } from 'h3'
import { Readable } from 'node:stream'
import { z } from 'zod'
import { languageInput, regionInput } from '../../../../core/text/inputs'
import { listAsCsv, listAsJson } from '../../../demand/listExport'
import { rowOf } from '../../../demand/rows'
import { fileNameOf } from '../../../http/fileName'
import { listOf } from '../../../http/listOf'
import { queryOf, route } from '../../../http/route'

const question = z.object({
  format: z.enum(['csv', 'json'], { error: 'A format is csv or json.' }).default('csv'),
  region: regionInput,
  language: languageInput.default('en'),
})

/** A list as a file, however long. */
export default route((event, runtime) => {
  const list = listOf(event, runtime)
  const { format, region, language } = queryOf(event, question)
  const name = fileNameOf(list.name, 'phrases')
  setResponseHeader(event, 'Content-Disposition', `attachment; filename="${name}.${format}"`)
  setResponseHeader(
    event,
    'Content-Type',
    format === 'json' ? 'application/json; charset=utf-8' : 'text/csv; charset=utf-8',
  )
  const phrases = runtime.lists.phrases(list.id)
  const tell = rowOf(runtime, region ?? '', language)
  return Readable.from(format === 'json' ? listAsJson(list, phrases, tell) : listAsCsv(phrases, tell))
})
