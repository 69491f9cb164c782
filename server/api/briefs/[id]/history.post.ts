import { writerOf } from '../../../access/admit'
import { briefOf } from '../../../http/briefOf'
import { route } from '../../../http/route'

/** Keeps a version that was typed but gave way to another window's, so that it can be found again. */
export default route('POST /api/briefs/:id/history', async (event, runtime, { body }) => {
  const { field, value } = body
  runtime.briefs.saveVersion(briefOf(event, runtime).id, field, value, writerOf(event))
  return { ok: true }
})
