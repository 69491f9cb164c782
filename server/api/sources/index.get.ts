import { route } from '../../http/route'

export default route('GET /api/sources', (_event, { sources }) => ({ sources: sources.list() }))
