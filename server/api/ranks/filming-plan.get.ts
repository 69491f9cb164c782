import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'
import { filmingPlanOf } from '../../ranks/filmingPlan'

/** Which videos to make next, in which order, in the time there is. */
export default route('GET /api/ranks/filming-plan', (_, runtime, { query: { workspace, region, ...budget } }) =>
  filmingPlanOf(runtime, workspaceOf(runtime, workspace).id, region ?? '', budget),
)
