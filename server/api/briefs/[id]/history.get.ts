import { z } from 'zod'
import { BRIEF_FIELDS } from '../../../../core/brief/brief'
import { briefOf } from '../../../http/briefOf'
import { queryOf, route } from '../../../http/route'

const question = z.object({ field: z.enum(BRIEF_FIELDS) })

export default route((event, runtime) => ({
  entries: runtime.briefs.history(briefOf(event, runtime).id, queryOf(event, question).field),
}))
