import { UPSET_WORDS } from '../../core/rivals/upsets'
import type { RivalRow } from '../../shared/rivals'
import { inFull, percent } from './figures'

/** What the row of a result says in words. */

export function likesInWords({ likes, dislikes }: RivalRow): string {
  return dislikes === null ? inFull(likes, 'likes') : `${inFull(likes, 'likes')}, ${inFull(dislikes, 'dislikes')}`
}

export function strengthInWords({ strength, targeting, reach, pull, ahead }: RivalRow): string {
  const parts = [
    `wording ${targeting.toFixed(2)}`,
    `reach ${reach?.toFixed(2) ?? 'unknown'}`,
    `pull ${pull?.toFixed(2) ?? 'unknown'}`,
  ].join(', ')
  return `${strength.toFixed(3)}: ${parts}${ahead === null ? '' : `; ranks above mine with ${percent(ahead)}`}`
}

const GRADE_WORDS = {
  exact: 'word for word',
  inflected: 'with other endings',
  ordered: 'in order',
  scattered: 'scattered',
  fragment: 'a part of it',
  none: 'not at all',
}
const stateOf = (grade: RivalRow['matches']['title'] | null): 'met' | 'partly' | 'missing' | 'n/a' =>
  grade === null ? 'n/a' : grade === 'exact' || grade === 'inflected' ? 'met' : grade === 'none' ? 'missing' : 'partly'

/** How firmly each of its texts holds the phrase. */
export function gradesInWords({ title, firstLine, tag }: RivalRow['matches']) {
  return (
    [
      ['title', title],
      ['first line', firstLine],
      ['best tag', tag],
    ] as const
  ).map(([where, grade]) => ({
    where,
    state: stateOf(grade),
    words: `${where}: ${grade === null ? 'unknown' : GRADE_WORDS[grade]}`,
  }))
}

/** Where it came from since the look before; `null` where nothing is known or it stands where it stood. */
export function movedWords({ before, rank }: RivalRow): { text: string; words: string } | null {
  if (before === undefined || before === rank) return null
  if (before === null) return { text: 'new', words: 'was not on the page at the look before' }
  return before > rank
    ? { text: `↑${before - rank}`, words: `rose from ${before}` }
    : { text: `↓${rank - before}`, words: `fell from ${before}` }
}

/** What is out of the common with it, or why it does not count. */
export function noteOf(row: RivalRow): string {
  if (row.off) return 'excluded'
  if (row.upset)
    return [
      `upset: ${row.timesExpected!.toFixed(0)} × the views expected for its size`,
      ...(row.upsetReason ? [UPSET_WORDS[row.upsetReason]] : []),
    ].join(', ')
  return row.soft?.length ? `weak result: ${row.soft.join(', ')}` : row.soft ? 'weak result' : ''
}
