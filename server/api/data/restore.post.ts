import { DataProblem } from '../../data/dataProblem'
import { Problem } from '../../http/problem'
import { closedRoute } from '../../http/route'
import { restoreRuntime } from '../../runtime'

/** Puts a backup in the place of the data file, which is kept as a backup of its own. */
export default closedRoute('POST /api/data/restore', async (event, { body }) => {
  const { name } = body
  try {
    await restoreRuntime(name)
  } catch (error) {
    // It is the backup that cannot be used; the data is as it was.
    throw error instanceof DataProblem && (error.fault === 'damaged' || error.fault === 'newer')
      ? new Problem(422, 'unusable-backup', error.message)
      : error
  }
  return { ok: true }
})
