import { listPatchSchema } from '../../../../shared/lists'
import { listOf } from '../../../http/listOf'
import { bodyOf, route } from '../../../http/route'

export default route(async (event, runtime) => {
  const { id } = listOf(event, runtime)
  const { language, ...change } = await bodyOf(event, listPatchSchema)
  return runtime.lists.patch(id, change, language)
})
