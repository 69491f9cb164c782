import { setResponseHeader } from 'h3'
import { z } from 'zod'
import { csvFile } from '../../../../core/formats/csv'
import { languageInput, regionInput } from '../../../../shared/text'
import { rowOf } from '../../../demand/rows'
import { listOf } from '../../../http/listOf'
import { queryOf, route } from '../../../http/route'

const question = z.object({ format: z.enum(['csv', 'json'], { error: 'A format is csv or json.' }).default('csv'), region: regionInput, language: languageInput.default('en') })

/** A list as a file; the CSV can be imported again as it is. */
export default route((event, runtime) => {
  const list = listOf(event, runtime)
  const { format, region, language } = queryOf(event, question)
  const name = list.name.normalize('NFKD').replace(/[^A-Za-z0-9]+/gu, '-').replace(/^-+|-+$/gu, '').slice(0, 80) || 'phrases'
  setResponseHeader(event, 'Content-Disposition', `attachment; filename="${name}.${format}"`)
  const tell = rowOf(runtime, region ?? '', language)
  const rows = runtime.lists.phrases(list.id).map(each => ({ ...each, row: tell(each.phrase) }))
  if (format === 'json') {
    setResponseHeader(event, 'Content-Type', 'application/json; charset=utf-8')
    return `${JSON.stringify({ format: 1, kind: 'fonetra-list', name: list.name, note: list.note, phrases: rows.map(({ phrase, note, row }) => ({ phrase, note, volume: row?.volume ?? null, difficulty: row?.difficulty ?? null, worth: row?.worth.anyone ?? null })) }, null, 2)}\n`
  }
  setResponseHeader(event, 'Content-Type', 'text/csv; charset=utf-8')
  return csvFile(['phrase', 'note', 'volume', 'change', 'videos', 'difficulty', 'worth', 'source'], rows.map(({ phrase, note, row }) => [phrase, note, row?.volume ?? null, row?.change ?? null, row?.competition ?? null, row?.difficulty ?? null, row?.worth.anyone ?? null, row?.source ?? null]))
})
