import { z } from 'zod'
import { workspaceOf } from '../../http/workspaceOf'
import { queryOf, route } from '../../http/route'

export default route((event, runtime) => ({
  sets: runtime.lists.filterSets(
    workspaceOf(runtime, queryOf(event, z.object({ workspace: z.string().max(60).optional() })).workspace).id,
  ),
}))
