import { writerOf } from '../../../access/admit'
import { changes } from '../../../changes'
import { follow } from '../../../desk/blocks'
import { route } from '../../../http/route'
import { itemOf, savedItem } from '../../../http/workspaceItem'

/** Changes a block; the briefs named follow where they hold it live and unedited. */
export default route('PATCH /api/blocks/:id', (event, runtime, { body }) => {
  const { workspace, item } = itemOf(event, runtime, 'block')
  const { revision, follow: briefs, ...changed } = body
  const value = { ...item.value, ...changed }
  const by = { client: null, writer: writerOf(event) }
  return runtime.db
    .transaction(() => {
      const block = savedItem(
        'block',
        runtime.workspaceItems.save(workspace, { id: item.id, kind: 'block', revision, value }),
      )
      const followed = briefs.filter(brief => follow(runtime, item.id, item.value, value, brief, by))
      for (const brief of followed) changes.changed('briefs', brief)
      return { ...block, followed, left: briefs.filter(brief => !followed.includes(brief)) }
    })
    .immediate()
})
