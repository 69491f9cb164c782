import { z } from 'zod'
import { LIST_COLUMNS, type ColumnMap, type ListColumn } from '../../../core/formats/phraseList'
import { languageInput, regionInput } from '../../../core/text/inputs'
import { importPhrases } from '../../imports/importPhrases'
import { noSuchList } from '../../http/listOf'
import { Problem } from '../../http/problem'
import { queryOf, route } from '../../http/route'
import { withUpload } from '../../http/upload'
import { readInThread } from '../../threads/readInThread'

/** `phrase:0,volume:2`: the meaning and index of columns mapped by hand. */
const columnsInput = z
  .string()
  .max(200)
  .optional()
  .transform((value, context): ColumnMap | null => {
    if (!value) return null
    const map: ColumnMap = {}
    for (const pair of value.split(',')) {
      const [column, index] = pair.split(':')
      if (!LIST_COLUMNS.includes(column as ListColumn) || !/^\d{1,3}$/u.test(index ?? '')) {
        context.addIssue({
          code: 'custom',
          message: `Map columns as in phrase:0,volume:2. Known are ${LIST_COLUMNS.join(', ')}.`,
        })
        return z.NEVER
      }
      map[column as ListColumn] = Number(index)
    }
    if (map.phrase === undefined)
      context.addIssue({ code: 'custom', message: 'Choose the column that contains the phrases.' })
    return map
  })

const question = z.object({
  region: regionInput,
  language: languageInput.default('en'),
  columns: columnsInput,
  name: z.string().max(120).default('Imported list'),
  list: z.string().max(60).optional(),
})

export default route(async (event, { phrases, lists, search, importThread, uploads }) => {
  const { region, language, columns, name, list } = queryOf(event, question)
  if (list && !lists.list(list)) throw noSuchList()
  const into = list
    ? (texts: string[]) => {
        lists.patch(list, { add: texts, remove: [], notes: {} }, language)
      }
    : undefined
  return withUpload(event, uploads, async ({ file, gone, tell }) => {
    const result = await importPhrases(phrases, readInThread(importThread, 'phrases', { file, columns }), {
      signal: gone,
      tell,
      region: region ?? '',
      language,
      source: name,
      into,
    })
    await search.settled()
    if (result.kind === 'imported') return result.answer
    throw new Problem(422, 'unknown-columns', 'No column is named as the phrase. Match the columns.', {
      headers: result.headers,
      sample: result.sample,
    })
  })
})
