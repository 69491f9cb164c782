import { z } from 'zod'

/** The entry that says what an archive holds. */
export const ABOUT_NAME = 'about.json'
export const ARCHIVE_FORMAT = 1
export const tableEntry = (table: string) => `tables/${table}.jsonl`
export const PICTURES = 'pictures/'

/** What `about.json` says. */
export const aboutSchema = z.object({
  kind: z.literal('fonetra-archive'),
  format: z.number().int(),
  /** ISO 8601. */
  made: z.string().max(40),
  /** The format of the data file, by which older tables are known. */
  data: z.number().int().min(1),
  /** Rows of each table. */
  tables: z.record(z.string().max(60), z.number().int().min(0)),
})
export type About = z.infer<typeof aboutSchema>
