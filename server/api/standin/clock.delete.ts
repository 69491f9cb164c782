import { route } from '../../http/route'
import { simulated } from '../../http/simulated'

/** Stops the clock of the simulated services where it stands. */
export default route('DELETE /api/standin/clock', (event, runtime) => simulated(runtime).stopMoving())
