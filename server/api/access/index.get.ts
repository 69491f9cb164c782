import { route } from '../../http/route'

/** The keys, without what they are. */
export default route((_event, { access }) => ({ keys: access.list() }))
