import { UNIT } from './dayColumns'

/** A title, an empty line and a line of units may stand above the figures: so many lines are looked through. */
export const HEADER_LINES = 12

/**
 * Where a table's figures begin, and what its columns are called: a second line without a figure belongs to the first.
 * @param lines the first ones of a file. @param recognise which column means what by a line of headers.
 * @returns `null` when no line names a day.
 */
export function dayHeader<Map extends object>(
  lines: readonly (readonly string[])[],
  recognise: (headers: readonly string[]) => Map | null,
): { headers: string[]; map: Map; lines: number } | null {
  let best: { headers: string[]; map: Map; lines: number } | null = null
  const better = (headers: string[], lines: number) => {
    const map = recognise(headers)
    if (map && Object.keys(map).length > Object.keys(best?.map ?? {}).length) best = { headers, map, lines }
  }
  lines.slice(0, HEADER_LINES).forEach((cells, i) => {
    better([...cells], i + 1)
    const next = lines[i + 1]
    if (!next || next.some(cell => isFigure(cell))) return
    const both = Array.from({ length: Math.max(cells.length, next.length) }, (_, k) => [cells[k] ?? '', next[k] ?? ''])
    better(
      both.map(([above, below]) =>
        UNIT.test(`(${below!.trim().replace(/^\(|\)$/gu, '')})`)
          ? `${above} (${below!.trim().replace(/^\(|\)$/gu, '')})`
          : `${above} ${below}`.trim(),
      ),
      i + 2,
    )
    // A name that spans columns stands above the first of them only: the lower line alone may name all.
    better(
      both.map(([above, below]) => below! || above!),
      i + 2,
    )
  })
  return best
}
const isFigure = (cell: string) => /\d/u.test(cell)
