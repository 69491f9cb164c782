import { z } from 'zod'
import { LIST_COLUMNS, type ColumnMap, type ListColumn } from '../../core/formats/phraseList'
import { regionInput } from '../../core/text/inputs'
import { restoreBodySchema, type Backup, type BackupsAnswer } from '../backups'
import type { PagesImported, PlacesImported } from '../imports'
import type { ImportAnswer } from '../phrases'
import type { SpaceAnswer } from '../space'
import { call, type, type Done } from './call'
import { language, ofWorkspace } from './inputs'

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

/** What a source is called under which imported figures are kept. */
const sourceName = (name: string) => z.string().max(120).default(name)

/** Files in, and the data file with its backups. The body of an import is the file. */
export const fileCalls = {
  'POST /api/import/phrases': call({
    query: z.object({
      region: regionInput,
      language,
      columns: columnsInput,
      /** `1` asks for the columns (422 `unknown-columns`) also where only the one of searches is not recognised. */
      ask: z.string().max(10).optional(),
      name: sourceName('Imported list'),
      /** A list that takes the phrases, too. */
      list: z.string().max(60).optional(),
    }),
    answer: type<ImportAnswer>(),
  }),
  'POST /api/import/pages': call({
    query: z.object({ region: regionInput, language, name: sourceName('Imported pages') }),
    answer: type<PagesImported>(),
  }),
  /** The body is a package: a ZIP file with a brief in it. */
  'POST /api/import/package': call({ query: ofWorkspace, answer: type<{ briefId: string }>() }),
  'POST /api/import/places': call({
    query: z.object({ region: regionInput, name: sourceName('Imported places') }),
    answer: type<PlacesImported>(),
  }),
  'GET /api/data': call({ answer: type<BackupsAnswer>() }),
  'GET /api/data/space': call({ answer: type<SpaceAnswer>() }),
  'POST /api/data/backups': call({ answer: type<Backup>() }),
  'POST /api/data/restore': call({ body: restoreBodySchema, answer: type<Done>() }),
  'POST /api/data/open': call({ answer: type<Done>() }),
}
