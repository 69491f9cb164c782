import { z } from 'zod'
import { phraseInput, regionCode } from '../core/text/inputs'

const name = z.string().trim().min(1, 'Give it a name.').max(120, 'A name can be 120 characters at most.')
const note = z.string().max(4000, 'A note can be 4,000 characters at most.')

export const newListSchema = z.object({
  workspace: z.string().max(60).optional(),
  language: z.string().max(20).default('en'),
  name,
  phrases: z.array(phraseInput).max(20_000).default([]),
  /** Made of two lists: what stands in either, or in the first and not in the second. */
  from: z.object({ how: z.enum(['merge', 'subtract']), first: z.string(), second: z.string() }).optional(),
})
export const listPatchSchema = z.object({
  name: name.optional(),
  note: note.optional(),
  language: z.string().max(20).default('en'),
  add: z.array(phraseInput).max(20_000).default([]),
  remove: z.array(phraseInput).max(20_000).default([]),
  notes: z.record(z.string(), note).default({}),
  /** Phrases taken out before, as `taken` named them: they come back to their place, with their notes. */
  putBack: z
    .array(z.object({ phrase: phraseInput, note, place: z.number().int().min(0), addedAt: z.number().int().min(0) }))
    .max(20_000)
    .default([]),
  /** The list's revision the change was made from. */
  revision: z.number().int().min(0).optional(),
})
export interface ListLine {
  id: string
  name: string
  note: string
  phrases: number
  updatedAt: number
  /** Grows with each change of its texts. */ revision: number
}
export interface ListPhrase {
  phrase: string
  note: string
  addedAt: number
}
/** A phrase taken out of a list, with all it takes to put it back. */
export interface TakenPhrase extends ListPhrase {
  place: number
}
/** A list after a change: what the change added, and what it took out. */
export interface ChangedList extends ListLine {
  added: string[]
  taken: TakenPhrase[]
}

export const filterSetSchema = z.object({
  workspace: z.string().max(60).optional(),
  name,
  query: z.record(z.string().max(40), z.string().max(500)),
})
export interface FilterSet {
  id: string
  name: string
  query: Record<string, string>
}

export const placesQuerySchema = z.object({
  region: regionCode.optional(),
  minPopulation: z.coerce.number().min(0).optional(),
  maxPopulation: z.coerce.number().min(0).optional(),
  contains: z.string().max(100).optional(),
})
export interface Place {
  id: number
  region: string
  name: string
  population: number | null
  source: string
}

export interface SourceLine {
  id: number
  name: string
  kind: 'service' | 'import'
  figures: number
  newest: number | null
  stale: boolean
}
