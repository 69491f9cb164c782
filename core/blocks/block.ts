import { z } from 'zod'
import { boundedText } from '../brief/field'
import { GAP } from '../descriptions/gaps'

/** A piece of text that stands in many descriptions: links, gear, contact, music, legal notes. */
export const blockSchema = z.object({
  name: z.string().trim().min(1, 'Give the block a name.').max(120, 'A name can be 120 characters at most.'),
  /** With variables in braces, such as `{title}`. */
  text: boundedText('block', 5000),
  /** Whether it belongs in every description. */
  standing: z.boolean().default(false),
})
export type Block = z.infer<typeof blockSchema>

/** A block that was put in a brief and follows its changes: the text as it stands there. */
export const placedSchema = z.object({ block: z.uuid(), text: z.string().max(20_000) })
export type Placed = z.infer<typeof placedSchema>

/** Variables that every brief fills in by itself. */
export const VARIABLES = ['title', 'lead', 'year', 'town'] as const
export type Variables = Record<(typeof VARIABLES)[number], string> & Record<string, string>

/** The name of a variable of one's own: letters, digits and dashes. */
export const VARIABLE_NAME = /^[\p{L}\p{N}_-]{1,40}$/u
const VARIABLE = /\{([\p{L}\p{N}_-]{1,40})\}/gu

export interface Expanded {
  text: string
  /** Variables that have no value, each once: a gap is left for each. */
  unknown: string[]
}

/**
 * A block's text with its variables filled in; what has no value becomes a marked gap.
 *
 * @param values by name; names are compared without regard to case.
 * @example expandBlock('By {name}, {year}', { year: '2026' }) // { text: 'By […], 2026', unknown: ['name'] }
 */
export function expandBlock(text: string, values: Readonly<Record<string, string>>): Expanded {
  const known = new Map(Object.entries(values).map(([name, value]) => [name.toLowerCase(), value.trim()]))
  const unknown = new Set<string>()
  const filled = text.replace(VARIABLE, (_, name: string) => {
    const value = known.get(name.toLowerCase())
    if (value) return value
    unknown.add(name)
    return GAP
  })
  return { text: filled.trim(), unknown: [...unknown] }
}

/** Where a block's text stands in a description: UTF-16, half-open; `null` where it does not, or was edited since. */
export function findBlock(description: string, text: string): { start: number; end: number } | null {
  if (!text) return null
  for (let at = description.indexOf(text); at >= 0; at = description.indexOf(text, at + 1)) {
    const end = at + text.length
    const apart = (sign: string | undefined) => sign === undefined || /\s/u.test(sign)
    if (apart(description[at - 1]) && apart(description[end])) return { start: at, end }
  }
  return null
}

/**
 * Where a live block stands: as it was filled in when it was put there, or as it would be now.
 * @param now its text filled in with today's title, lead, and the rest.
 */
export function findLive(
  description: string,
  placed: string | undefined,
  now: string,
): { start: number; end: number; behind: boolean } | null {
  const current = findBlock(description, now)
  if (current) return { ...current, behind: false }
  const before = placed === undefined ? null : findBlock(description, placed)
  return before && { ...before, behind: true }
}

/** A description with a block at its end. */
export const withBlock = (description: string, text: string): string =>
  [description.trimEnd(), text].filter(Boolean).join('\n\n')
