import { settingsPatchSchema } from '../../../../shared/workspace'
import { workspaceOf } from '../../../http/workspaceOf'
import { bodyOf, paramOf, route } from '../../../http/route'

/** Sets what is given; what is left out stays. */
export default route(async (event, runtime) => {
  const { id } = workspaceOf(runtime, paramOf(event, 'id'))
  return { settings: runtime.workspaces.putSettings(id, await bodyOf(event, settingsPatchSchema)) }
})
