import { z } from 'zod'
import type { DraftTexts } from '../draft/draft'
import type { FieldDefinition } from './field'
import { cards } from './fields/cards'
import { captions } from './fields/captions'
import { description } from './fields/description'
import { endScreen } from './fields/endScreen'
import { fileName } from './fields/fileName'
import { forSearch } from './fields/forSearch'
import { handed } from './fields/handed'
import { language } from './fields/language'
import { lines } from './fields/lines'
import { outline } from './fields/outline'
import { profile } from './fields/profile'
import { region } from './fields/region'
import { releaseAt } from './fields/releaseAt'
import { ruleSet } from './fields/ruleSet'
import { seconds } from './fields/seconds'
import { sheet } from './fields/sheet'
import { tags } from './fields/tags'
import { thumbnail } from './fields/thumbnail'
import { ticked } from './fields/ticked'
import { title } from './fields/title'
import { topic } from './fields/topic'
import { tray } from './fields/tray'
import { videoAddress } from './fields/videoAddress'

/** Every field of a brief, each saved and revised by itself. */
const FIELDS = {
  topic,
  region,
  language,
  tray,
  title,
  description,
  tags,
  fileName,
  outline,
  captions,
  seconds,
  lines,
  ruleSet,
  profile,
  forSearch,
  sheet,
  thumbnail,
  cards,
  endScreen,
  releaseAt,
  ticked,
  handed,
  videoAddress,
}

export type BriefField = keyof typeof FIELDS
export type BriefFields = {
  -readonly [Field in BriefField]: (typeof FIELDS)[Field] extends FieldDefinition<infer Value> ? Value : never
}

export const BRIEF_FIELDS = Object.keys(FIELDS) as [BriefField, ...BriefField[]]

/** All that is a field's own. */
export const fieldOf = (field: BriefField) => FIELDS[field] as FieldDefinition<unknown>

const ofEach = <Value>(value: (field: FieldDefinition<unknown>) => Value) =>
  Object.fromEntries(BRIEF_FIELDS.map(field => [field, value(fieldOf(field))]))

/** The fields of a brief in which nothing is written. */
export const emptyFields = () => structuredClone(ofEach(field => field.empty)) as BriefFields

/** What a copy of a brief begins with: what is of one video alone is left out. */
export const copiedFields = (fields: BriefFields): BriefFields => ({
  ...fields,
  ...Object.fromEntries(
    Object.entries(emptyFields()).filter(([field]) => fieldOf(field as BriefField).copied === false),
  ),
})

export const briefFieldsSchema = z.object(
  ofEach(field => field.schema) as { [Field in BriefField]: (typeof FIELDS)[Field]['schema'] },
)

/** A stored value in today's form. @param format the version of the form it was stored in. */
export function upgraded(field: BriefField, value: unknown, format: number): unknown {
  const definition = fieldOf(field)
  return format < definition.format ? definition.upgrade!(value, format) : value
}

/** A value in words that a person can compare. */
export const shownValue = (field: BriefField, value: unknown): string => fieldOf(field).shown(value) || '(empty)'

/** The texts of a brief as they are scored. */
export function draftOf(fields: BriefFields): DraftTexts {
  return Object.assign({}, ...BRIEF_FIELDS.map(field => fieldOf(field).draft?.(fields[field])))
}

/** What is pasted into the site comes before what it was written for. */
const EXPORTED: BriefField[] = [...BRIEF_FIELDS.filter(field => field !== 'tray'), 'tray']

/** The texts of a brief, each under its heading, ready to paste; empty ones are left out. */
export function exportedText(fields: BriefFields): string {
  return EXPORTED.flatMap(field => fieldOf(field).exported?.(fields[field]) ?? [])
    .filter(({ text }) => text.trim())
    .map(({ heading, text }) => `${heading.toUpperCase()}\n${text}\n`)
    .join('\n')
}
