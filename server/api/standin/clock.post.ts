import { route } from '../../http/route'
import { simulated } from '../../http/simulated'

/** Moves the clock of the simulated services on. Their days pass in their own thread. */
export default route('POST /api/standin/clock', (event, runtime, { body }) => simulated(runtime).move(body.days))
