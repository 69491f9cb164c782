import { listOf } from '../../../http/listOf'
import { route } from '../../../http/route'

/** Marks a list deleted; it can be restored. */
export default route((event, runtime) => ({ ok: runtime.lists.remove(listOf(event, runtime).id) }))
