import { placesQuerySchema } from '../../../shared/lists'
import { queryOf, route } from '../../http/route'

export default route((event, { places }) => ({
  places: places.find(queryOf(event, placesQuerySchema)),
  regions: places.regions(),
}))
