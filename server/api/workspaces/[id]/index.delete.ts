import { Problem } from '../../../http/problem'
import { workspaceOf } from '../../../http/workspaceOf'
import { paramOf, route } from '../../../http/route'

export default route('DELETE /api/workspaces/:id', (event, runtime) => {
  const { id } = workspaceOf(runtime, paramOf(event, 'id'))
  if (!runtime.workspaces.remove(id))
    throw new Problem(
      409,
      'not-empty',
      'A workspace with briefs, or the only one, is not deleted. Move or delete its briefs first.',
    )
  return { ok: true }
})
