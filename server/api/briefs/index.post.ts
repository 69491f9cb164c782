import { setResponseStatus } from 'h3'
import { writerOf } from '../../access/admit'
import { Problem } from '../../http/problem'
import { workspaceOf } from '../../http/workspaceOf'
import { route } from '../../http/route'

export default route('POST /api/briefs', async (event, runtime, { body }) => {
  const { briefs } = runtime
  const { id, fields, copyOf, workspace } = body
  const { id: home, language } = workspaceOf(runtime, workspace)
  // A new brief begins in the workspace's language, with its default tags.
  const { tags } = runtime.workspaces.settings(home).texts
  const brief = copyOf
    ? briefs.duplicate(copyOf, writerOf(event))
    : briefs.create({ language, ...(tags.length ? { tags } : {}), ...fields }, id, {
        workspace: home,
        writer: writerOf(event),
      })
  if (!brief) throw new Problem(404, 'no-such-brief', 'The brief to copy is not there any more.')
  setResponseStatus(event, 201)
  return brief
})
