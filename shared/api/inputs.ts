import { z } from 'zod'
import { languageInput, phraseInput, regionInput } from '../../core/text/inputs'

/** Inputs that several calls take. */

/** The workspace something is asked for; the first one where it is absent. */
export const workspaceInput = z.string().max(60).optional()
export const language = languageInput.default('en')
export const ofWorkspace = z.object({ workspace: workspaceInput })

/** One phrase in a region, scored for a workspace. */
export const phraseQuestion = z.object({
  phrase: phraseInput,
  region: regionInput,
  language,
  workspace: workspaceInput,
})

/** A calendar day. */
export const dayInput = z.iso.date('Give a day, year first, such as 2026-03-14.')

/** Ask the service again, however young what is kept is. */
export const anew = z.enum(['0', '1']).optional()

/** A deletion that is an undo names the time after which what it deletes must not have changed. */
export const unlessChanged = z.object({
  unchangedSince: z.coerce.number('Give a time in milliseconds.').int('Give a time in milliseconds.').optional(),
})

/**
 * The column a list is sorted by, and whether up or down: `volume:desc`.
 * @param usual the order where none is given.
 */
export const sortInput = <Column extends string>(columns: readonly Column[], usual: `${Column}:${'asc' | 'desc'}`) =>
  z
    .string()
    .default(usual)
    .transform((value, context) => {
      const [column, direction = 'desc'] = value.split(':')
      if (columns.includes(column as Column) && (direction === 'asc' || direction === 'desc'))
        return { column: column as Column, direction: direction as 'asc' | 'desc' }
      context.addIssue({ code: 'custom', message: `Sort by one of ${columns.join(', ')}, with :asc or :desc.` })
      return z.NEVER
    })
