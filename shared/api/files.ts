import { IANAZone } from 'luxon'
import { z } from 'zod'
import { DAY_ORDERS } from '../../core/formats/calendarDay'
import { DAY_COLUMNS } from '../../core/formats/dayColumns'
import { EARNED_COLUMNS } from '../../core/formats/earnedColumns'
import { LIST_COLUMNS } from '../../core/formats/phraseList'
import { regionInput } from '../../core/text/inputs'
import { archiveQuery, type ArchiveRead } from '../archive'
import { restoreBodySchema, type Backup, type BackupsAnswer } from '../backups'
import type { DaysImported, PagesImported, PlacesImported } from '../imports'
import type { ImportAnswer } from '../phrases'
import type { SpaceAnswer } from '../space'
import { call, type, type Done } from './call'
import { language, ofWorkspace } from './inputs'

/**
 * `phrase:0,volume:2`: the meaning and index of columns matched by hand.
 * @param needed the one that there must be. @param missing said where it is not.
 */
const columnsInput = <Column extends string>(known: readonly Column[], needed: Column, missing: string) =>
  z
    .string()
    .max(400)
    .optional()
    .transform((value, context): Partial<Record<Column, number>> | null => {
      if (!value) return null
      const map: Partial<Record<Column, number>> = {}
      for (const pair of value.split(',')) {
        const [column, index] = pair.split(':')
        if (!known.includes(column as Column) || !/^\d{1,3}$/u.test(index ?? '')) {
          context.addIssue({
            code: 'custom',
            message: `Map columns as in ${needed}:0. Known are ${known.join(', ')}.`,
          })
          return z.NEVER
        }
        map[column as Column] = Number(index)
      }
      if (map[needed] === undefined) context.addIssue({ code: 'custom', message: missing })
      return map
    })

/** What a source is called under which imported figures are kept. */
const sourceName = (name: string) => z.string().max(120).default(name)

/** How a table with a line for each day is read. */
const dayTableQuery = ofWorkspace.extend({
  /** The video of lines that name none. */
  videoId: z.string().min(1).max(200).optional(),
  dates: z.enum(DAY_ORDERS, 'Give dmy, mdy or ymd.').optional(),
  decimal: z.enum(['.', ','], 'Give . or , as the decimal mark.').optional(),
  /** Whose days count where a table tells times with their offset. */
  zone: z
    .string()
    .max(60)
    .refine(zone => IANAZone.isValidZone(zone), 'Give a zone such as Europe/Berlin.')
    .default('UTC'),
})

/** Files in, and the data file with its backups. The body of an import is the file. */
export const fileCalls = {
  'POST /api/import/phrases': call({
    query: z.object({
      region: regionInput,
      language,
      columns: columnsInput(LIST_COLUMNS, 'phrase', 'Choose the column that contains the phrases.'),
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
  /** The body is a table of day figures: of one video, or with a column that names them. */
  'POST /api/import/analytics': call({
    query: dayTableQuery.extend({
      columns: columnsInput(DAY_COLUMNS, 'day', 'Choose the column that contains the days.'),
      name: sourceName('Imported figures'),
    }),
    answer: type<DaysImported>(),
  }),
  /** The body is a table of clicks, calls, coupons and orders, with a line for each day. */
  'POST /api/import/earned': call({
    query: dayTableQuery.extend({
      columns: columnsInput(EARNED_COLUMNS, 'day', 'Choose the column that contains the days.'),
    }),
    answer: type<DaysImported>(),
  }),
  'POST /api/import/places': call({
    query: z.object({ region: regionInput, name: sourceName('Imported places') }),
    answer: type<PlacesImported>(),
  }),
  'GET /api/data': call({ answer: type<BackupsAnswer>() }),
  'GET /api/data/space': call({ answer: type<SpaceAnswer>() }),
  'POST /api/data/backups': call({ answer: type<Backup>() }),
  'POST /api/data/restore': call({ body: restoreBodySchema, answer: type<Done>() }),
  /** The answer is a ZIP file of everything. */
  'GET /api/data/archive': call({ answer: type<string>() }),
  /** The body is such a file. */
  'POST /api/data/archive': call({ query: archiveQuery, answer: type<ArchiveRead>() }),
  'POST /api/data/open': call({ answer: type<Done>() }),
}
