import { route } from '../../http/route'

export default route('GET /api/workspaces', (_event, { workspaces }) => ({ workspaces: workspaces.list() }))
