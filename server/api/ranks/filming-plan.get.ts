import { overview } from '../../http/overview'
import { route } from '../../http/route'

/** Which videos to make next, in which order, in the time there is. */
export default route('GET /api/ranks/filming-plan', (event, runtime, { query: { workspace, region, ...budget } }) =>
  overview(event, runtime, 'filmingPlan', workspace, region ?? '', budget),
)
