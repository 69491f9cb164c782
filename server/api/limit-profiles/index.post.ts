import { setResponseStatus } from 'h3'
import { route } from '../../http/route'
import { makeItem } from '../../http/workspaceItem'
import { workspaceOf } from '../../http/workspaceOf'

export default route('POST /api/limit-profiles', (event, runtime, { body }) => {
  const { id, workspace, ...value } = body
  setResponseStatus(event, 201)
  const made = makeItem(runtime, 'limitProfile', value, { id, workspace })
  runtime.briefs.rescore(workspaceOf(runtime, workspace).id, made.id)
  return made
})
