import { route } from '../../http/route'
import { simulated } from '../../http/simulated'

/** What the clock of the simulated services shows. */
export default route('GET /api/standin/clock', (event, runtime) => simulated(runtime).clock())
