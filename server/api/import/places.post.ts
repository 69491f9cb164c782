import { route } from '../../http/route'
import { withUpload } from '../../http/upload'
import { importPlaces } from '../../imports/importPlaces'
import { readInThread } from '../../threads/readInThread'

/** A CSV of places with their population. */
export default route('POST /api/import/places', (event, { places, search, uploads, importThread }, { query }) => {
  const { region, name } = query
  return withUpload(event, uploads, async ({ file, gone, report }) => {
    try {
      return await importPlaces(places, readInThread(importThread, 'places', { file, region: region ?? '' }), {
        source: name,
        signal: gone,
        report,
      })
    } finally {
      search.placesChanged()
    }
  })
})
