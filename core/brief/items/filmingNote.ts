import { z } from 'zod'

/** What a note for the day of filming is about. */
export const FILMING_KINDS = ['shot', 'tool', 'place', 'person'] as const
export type FilmingKind = (typeof FILMING_KINDS)[number]

/** One thing to film, to bring or to ask for, ticked off when it is done. */
export const filmingNoteSchema = z.object({
  about: z.enum(FILMING_KINDS, `A note is about a ${FILMING_KINDS.join(', ')}.`),
  text: z.string().trim().min(1, 'Write what it is.').max(1000, 'A note can be 1,000 characters at most.'),
  done: z.boolean().default(false),
})
export type FilmingNote = z.infer<typeof filmingNoteSchema>

const MARK = /^(?:[-*•–] |\d{1,3}[.)] )/u
const TICK = /^\[[ xX]?\]/u

/** Notes from pasted lines: list marks go, and `[x]` is done. Empty lines are left out. */
export function filmingNotes(text: string, about: FilmingKind): FilmingNote[] {
  return text.split('\n').flatMap((line): FilmingNote[] => {
    const marked = `${line.trim()} `.replace(MARK, '').trim()
    const tick = TICK.exec(marked)?.[0] ?? ''
    const said = marked.slice(tick.length).trim().slice(0, 1000)
    return said ? [{ about, text: said, done: /x/iu.test(tick) }] : []
  })
}
