import { ownProfileSchema } from '../../../../core/draft/profileSchema'
import { route } from '../../../http/route'
import { itemOf, savedItem } from '../../../http/workspaceItem'

/** Changes a limit profile; briefs that are written for it are scored anew. */
export default route('PATCH /api/limit-profiles/:id', (event, runtime, { body }) => {
  const { workspace, item } = itemOf(event, runtime, 'limitProfile')
  const { revision, ...changed } = body
  const value = ownProfileSchema.parse({ ...item.value, ...changed })
  const saved = savedItem(
    'limitProfile',
    runtime.workspaceItems.save(workspace, { id: item.id, kind: 'limitProfile', revision, value }),
  )
  runtime.briefs.rescore(workspace, item.id)
  return saved
})
