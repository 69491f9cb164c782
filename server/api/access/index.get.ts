import { route } from '../../http/route'

/** The keys, without what they are. */
export default route('GET /api/access', (_event, { access }) => ({ keys: access.list() }))
