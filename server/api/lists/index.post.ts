import { setResponseStatus } from 'h3'
import { Problem } from '../../http/problem'
import { workspaceOf } from '../../http/workspaceOf'
import { route } from '../../http/route'

export default route('POST /api/lists', async (event, runtime, { body }) => {
  const { workspace, name, phrases, language, from } = body
  const made = runtime.lists.create(workspaceOf(runtime, workspace).id, name, phrases, language, from)
  if (!made) throw new Problem(404, 'no-such-list', 'One of the two lists no longer exists.')
  setResponseStatus(event, 201)
  return made
})
