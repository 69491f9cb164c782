import { setResponseStatus } from 'h3'
import { paramOf, route } from '../../../http/route'
import { workspaceOf } from '../../../http/workspaceOf'
import { startWave, trialOf } from '../../../ranks/trials'

/** Changes the videos of a trial’s next wave. */
export default route('POST /api/trials/:trial/wave', (event, runtime, { body }) => {
  const trial = trialOf(runtime, workspaceOf(runtime, body.workspace).id, paramOf(event, 'trial'))
  setResponseStatus(event, 202)
  return { trial: startWave(runtime, trial) }
})
