import { route } from '../../http/route'
import { servicesInUse } from '../../http/servicesInUse'

export default route('GET /api/services', (_event, { attached }) => servicesInUse(attached))
