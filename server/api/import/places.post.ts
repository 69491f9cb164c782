import iconv from 'iconv-lite'
import { readFileSync } from 'node:fs'
import { z } from 'zod'
import { placeColumns, placeRow, type ListedPlace } from '../../../core/formats/placeList'
import { regionInput } from '../../../shared/text'
import { Problem } from '../../http/problem'
import { queryOf, route } from '../../http/route'
import { withUpload } from '../../http/upload'
import { delimitedText, delimiterOf, UNREADABLE } from '../../jobs/delimited'
import { encodingOf } from '../../jobs/readList'

const question = z.object({ region: regionInput, name: z.string().max(120).default('Imported places') })
const MAX_BYTES = 20 * 1024 * 1024
const BATCH = 1000
const TOLD = 200

/** A CSV of places with their population. */
export default route((event, { places, search, uploads }) => {
  const { region, name } = queryOf(event, question)
  return withUpload(event, uploads, async ({ file, gone, tell }) => {
    const bytes = readFileSync(file)
    if (bytes.length > MAX_BYTES) throw new Problem(413, 'too-long', 'A list of places can be 20 MB at most. Split it.')
    const text = iconv.decode(bytes, encodingOf(bytes.subarray(0, 65_536)))
    const [head, ...lines] = delimitedText(text, delimiterOf(text.split(/\r?\n/u)[0] ?? '')).filter(({ cells }) => cells?.join('') !== '')
    const columns = placeColumns(head?.cells ?? [])
    if (!columns) throw new Error('No column header names a place. Give a header line such as name,population,region.')
    const found: ListedPlace[] = []
    const rejected: { line: number, reason: string }[] = []
    for (const { line, cells } of lines) {
      const place = cells ? placeRow(cells, columns, region ?? '') : { reason: UNREADABLE }
      if ('reason' in place) rejected.push({ line, reason: place.reason })
      else found.push(place)
    }
    let kept = 0
    while (kept < found.length && !gone.aborted) {
      places.save(found.slice(kept, kept + BATCH), name)
      kept = Math.min(found.length, kept + BATCH)
      tell({ part: kept / found.length, said: `${kept.toLocaleString('en')} of ${found.length.toLocaleString('en')} places kept` })
      await new Promise(resolve => setImmediate(resolve))
    }
    search.placesChanged()
    return { accepted: kept, rejected: rejected.slice(0, TOLD), rejectedMore: Math.max(0, rejected.length - TOLD) }
  })
})
