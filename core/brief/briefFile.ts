import { z } from 'zod'
import { readJsonFile } from '../formats/jsonFile'
import { BRIEF_FIELDS, briefFieldsSchema, type BriefField, type BriefFields } from './brief'
import { localisedSchema, type Localised } from './items/localised'
import { postSchema, type Post } from './items/post'

const time = z.iso.datetime('This is not a time.')

/** A brief as a file: its fields, and when it was made and left its store. */
export const briefFileSchema = z.object({
  format: z.literal(1, 'This is not a brief of a format that is known (1).'),
  kind: z.literal('fonetra-brief', 'This is not a file of a brief.'),
  id: z.uuid('This is not the id of a brief.'),
  createdAt: time,
  /** When it was written; files of earlier versions do not tell. */
  exportedAt: time.optional(),
  ...briefFieldsSchema.partial().shape,
  localised: z.array(localisedSchema).max(100, 'A brief can have texts in 100 languages at most.').default([]),
  posts: z.array(postSchema).max(40, 'A brief can have 40 texts to spread at most.').default([]),
})
type Parsed = z.infer<typeof briefFileSchema>

export interface BriefFile {
  id: string
  /** UTC milliseconds, as the two below. */
  createdAt: number
  exportedAt: number | null
  fields: Partial<BriefFields>
  localised: Localised[]
  posts: Post[]
}

/** What a brief has many of that goes along with it. */
export interface BriefFileItems {
  localised: readonly Localised[]
  /** Texts that tell others of the video. */
  posts: readonly Post[]
}

/** A brief as text of its file. */
export function writeBriefFile(
  brief: { id: string; createdAt: number; updatedAt: number; fields: BriefFields },
  { localised, posts }: BriefFileItems,
  now: number,
): string {
  const { id, createdAt, updatedAt, fields } = brief
  const iso = (at: number) => new Date(at).toISOString()
  const head = { format: 1, kind: 'fonetra-brief', id, createdAt: iso(createdAt), updatedAt: iso(updatedAt) }
  return `${JSON.stringify({ ...head, exportedAt: iso(now), ...fields, localised, posts }, null, 2)}\n`
}

/** @throws FileFault that names each fault with its line. */
export function readBriefFile(text: string): BriefFile {
  const { id, createdAt, exportedAt, localised, posts, ...rest } = readJsonFile<Parsed>(
    text,
    briefFileSchema as z.ZodType<Parsed>,
  ).value
  return {
    id,
    createdAt: Date.parse(createdAt),
    exportedAt: exportedAt === undefined ? null : Date.parse(exportedAt),
    fields: Object.fromEntries(
      BRIEF_FIELDS.filter(field => rest[field] !== undefined).map(field => [field, rest[field]]),
    ) as Partial<BriefFields>,
    localised,
    posts,
  }
}

/**
 * Who changed what differs: the file alone (`there`), `both` since the brief left, nobody, since the file only holds
 * what stood here `earlier`; `unknown` where the file does not tell when it left.
 */
export type Since = 'there' | 'both' | 'earlier' | 'unknown'

/**
 * Where a field of a file that came back differs from the brief here.
 */
export interface ReturnedChange {
  field: BriefField
  here: unknown
  file: unknown
  since: Since
  /** When it was last changed here. */
  changedAt: number
}

/** Texts in another language that a file would change; `here` is `null` where there are none yet. */
export interface ReturnedLocalised {
  /** The item they are kept as, with its revision; `null` where there is none. */
  item: { id: string; revision: number } | null
  here: Localised | null
  file: Localised
  since: Since
  /** When they were last changed here; `null` where there are none. */
  changedAt: number | null
}

/**
 * When a file left the store it came from, UTC milliseconds. A file written by this store tells it; one written by
 * another store was taken in there just after it left, which is when the brief was made there.
 */
const leftAt = (file: BriefFile, madeHere: number) => (file.createdAt > madeHere ? file.createdAt : file.exportedAt)
const sinceThen = (changedAt: number, left: number | null): Since =>
  left === null ? 'unknown' : changedAt > left ? 'both' : 'there'
const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

/**
 * What a file that came back would change of its brief.
 *
 * @param here the brief as it is. @param standing when a field was last changed here, and whether a value stood in it
 * before.
 */
export function returnedChanges(
  file: BriefFile,
  here: { createdAt: number; fields: BriefFields },
  standing: (field: BriefField, value: unknown) => { changedAt: number; before: boolean },
): ReturnedChange[] {
  const left = leftAt(file, here.createdAt)
  return BRIEF_FIELDS.flatMap(field => {
    const [now, value] = [here.fields[field], file.fields[field]]
    if (value === undefined || same(value, now)) return []
    const { changedAt, before } = standing(field, value)
    const since = before ? 'earlier' : sinceThen(changedAt, left)
    return [{ field, here: now, file: value, since, changedAt }]
  })
}

/** What a file that came back would change of the texts in other languages, of which no earlier ones are kept. */
export function returnedLocalised(
  file: BriefFile,
  here: { createdAt: number },
  items: readonly { id: string; revision: number; savedAt: number; value: Localised }[],
): ReturnedLocalised[] {
  const left = leftAt(file, here.createdAt)
  return file.localised.flatMap((value): ReturnedLocalised[] => {
    const known = items.find(each => each.value.language === value.language)
    if (!known) return [{ item: null, here: null, file: value, since: 'there', changedAt: null }]
    if (same(known.value, value)) return []
    const { id, revision, savedAt } = known
    const since = sinceThen(savedAt, left)
    return [{ item: { id, revision }, here: known.value, file: value, since, changedAt: savedAt }]
  })
}
