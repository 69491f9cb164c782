import { z } from 'zod'
import { writerOf } from '../../../access/admit'
import { BRIEF_FIELDS } from '../../../../core/brief/brief'
import { briefOf } from '../../../http/briefOf'
import { bodyOf, route } from '../../../http/route'

const version = z.object({ field: z.enum(BRIEF_FIELDS), value: z.unknown() })

/** Keeps a version that was typed but gave way to another window's, so that it can be found again. */
export default route(async (event, runtime) => {
  const { field, value } = await bodyOf(event, version)
  runtime.briefs.saveVersion(briefOf(event, runtime).id, field, value, writerOf(event))
  return { ok: true }
})
