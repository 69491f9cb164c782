import { route } from '../../http/route'

export default route((_event, { workspaces }) => ({ workspaces: workspaces.list() }))
