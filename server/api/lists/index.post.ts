import { setResponseStatus } from 'h3'
import { newListSchema } from '../../../shared/lists'
import { Problem } from '../../http/problem'
import { workspaceOf } from '../../http/workspaceOf'
import { bodyOf, route } from '../../http/route'

export default route(async (event, runtime) => {
  const { workspace, name, phrases, language, from } = await bodyOf(event, newListSchema)
  const made = runtime.lists.create(workspaceOf(runtime, workspace).id, name, phrases, language, from)
  if (!made) throw new Problem(404, 'no-such-list', 'One of the two lists no longer exists.')
  setResponseStatus(event, 201)
  return made
})
