import { route } from '../../http/route'

export default route((_event, { sources }) => ({ sources: sources.list() }))
