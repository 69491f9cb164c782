import type { KeptSeats } from '../rivals/turnover'

/** A video that came onto a page between two looks and stands above mine since. */
export interface Arrival {
  /** When it was first seen there, and when somebody last looked before, UTC milliseconds. */
  at: number
  since: number
  id: string
  /** Its rank then. */
  rank: number
}

/**
 * Who came in above mine. Only what was on no page before is new; what came back, or only rose, is not.
 *
 * @param pages those kept of a phrase, in any order, whole ones only. @param mine none of these is a rival.
 * @param video the one that is passed.
 * @returns oldest first; none while mine is on no page: then there is nobody to come in above it.
 */
export function arrivalsAbove(pages: readonly KeptSeats[], video: string, mine: ReadonlySet<string>): Arrival[] {
  const sorted = [...pages].sort((a, b) => a.at - b.at)
  const known = new Set(sorted[0]?.ids)
  const found: Arrival[] = []
  let held = known.has(video)
  let since = sorted[0]?.at ?? 0
  for (const { at, ids } of sorted.slice(1)) {
    const place = ids.indexOf(video)
    // One that was there and is no more has all of the page above it.
    const above = place >= 0 ? place : held ? ids.length : 0
    ids.forEach((id, i) => {
      if (i < above && !known.has(id) && !mine.has(id)) found.push({ at, since, id, rank: i + 1 })
    })
    for (const id of ids) known.add(id)
    held = place >= 0
    since = at
  }
  return found
}
