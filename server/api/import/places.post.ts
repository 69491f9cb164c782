import { z } from 'zod'
import { regionInput } from '../../../core/text/inputs'
import { queryOf, route } from '../../http/route'
import { withUpload } from '../../http/upload'
import { importPlaces } from '../../imports/importPlaces'
import { readInThread } from '../../threads/readInThread'

const question = z.object({ region: regionInput, name: z.string().max(120).default('Imported places') })

/** A CSV of places with their population. */
export default route((event, { places, search, uploads, importThread }) => {
  const { region, name } = queryOf(event, question)
  return withUpload(event, uploads, async ({ file, gone, tell }) => {
    try {
      return await importPlaces(places, readInThread(importThread, 'places', { file, region: region ?? '' }), {
        source: name,
        signal: gone,
        tell,
      })
    } finally {
      search.placesChanged()
    }
  })
})
