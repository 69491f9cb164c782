import { version } from '../../package.json'
import { route } from '../http/route'

export default route('GET /api/health', (_event, { db }) => {
  db.prepare('SELECT 1').get()
  return { ok: true, version }
})
