import { briefOf } from '../../../http/briefOf'
import { route } from '../../../http/route'

export default route('GET /api/briefs/:id', briefOf)
