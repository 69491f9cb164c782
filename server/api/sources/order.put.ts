import { z } from 'zod'
import { bodyOf, route } from '../../http/route'

const body = z.object({ ids: z.array(z.number().int()).min(1, 'List the sources in order of preference.').max(500) })

/** Sets the order of preference of the sources. */
export default route(async (event, { sources }) => {
  await sources.order((await bodyOf(event, body)).ids)
  return { sources: sources.list() }
})
