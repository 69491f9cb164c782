import { route } from '../../http/route'

export default route('GET /api/places', (event, { places }, { query }) => ({
  places: places.find(query),
  regions: places.regions(),
}))
