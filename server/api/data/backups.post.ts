import { setResponseStatus } from 'h3'
import { route } from '../../http/route'

/** Makes a backup now. */
export default route('POST /api/data/backups', async (event, { backups }) => {
  const made = await backups.make('by-hand')
  setResponseStatus(event, 201)
  return made
})
