import { z } from 'zod'
import { workspaceOf } from '../../http/workspaceOf'
import { queryOf, route } from '../../http/route'

export default route((event, runtime) => ({
  lists: runtime.lists.lists(
    workspaceOf(runtime, queryOf(event, z.object({ workspace: z.string().max(60).optional() })).workspace).id,
  ),
}))
