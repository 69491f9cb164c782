import { placeColumns, placeRow, type ListedPlace } from '../../core/formats/placeList'
import { delimitedLines, delimiterOf } from './delimited'
import { fileText } from './fileText'

/** The events of reading a list of places. `part` is how much of the file was read by then, 0 to 1. */
export type PlacesEvent =
  { kind: 'places'; list: ListedPlace[]; part: number } | { kind: 'refused'; lines: { line: number; reason: string }[] }

export interface PlacesQuestion {
  file: string
  /** For lines without one; '' for none. */ region: string
}

/** Places handed on in one go: as many as one transaction may write. */
const BATCH = 500

/**
 * Reads a CSV of places with their population.
 * @throws Error with a message for the user when the file as a whole cannot be read.
 */
export async function* readPlaces({ file, region }: PlacesQuestion): AsyncGenerator<PlacesEvent> {
  const of = fileText(file)
  let columns: ReturnType<typeof placeColumns> = null
  let list: ListedPlace[] = []
  let refused: { line: number; reason: string }[] = []
  let part = 0
  for await (const lines of delimitedLines(of, delimiterOf(of.beginning.split(/\r?\n/u)[0] ?? ''), read => {
    part = read
  })) {
    for (const each of lines) {
      if (each.cells?.every(cell => cell === '')) continue
      if (!columns) {
        columns = placeColumns(each.cells ?? [])
        if (!columns)
          throw new Error('No column is named as the place. Add a header line such as name,population,region.')
        continue
      }
      const place = each.cells ? placeRow(each.cells, columns, region) : { reason: each.reason }
      if ('reason' in place) refused.push({ line: each.line, reason: place.reason })
      else list.push(place)
      if (list.length >= BATCH) {
        yield { kind: 'places', list, part }
        list = []
      }
    }
    if (refused.length) {
      yield { kind: 'refused', lines: refused }
      refused = []
    }
  }
  if (!columns) throw new Error('No column is named as the place. Add a header line such as name,population,region.')
  if (list.length) yield { kind: 'places', list, part: 1 }
}
