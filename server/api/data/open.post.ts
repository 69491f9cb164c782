import { closedRoute } from '../../http/route'
import { openRuntime, useRuntime } from '../../runtime'

/** Tries again to open the data file, once what kept it from being opened is mended. */
export default closedRoute('POST /api/data/open', async () => {
  await openRuntime()
  useRuntime()
  return { ok: true }
})
