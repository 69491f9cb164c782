import { setResponseStatus } from 'h3'
import { v7 as uuid } from 'uuid'
import { dayNamed, rankDay } from '../../../../core/ranks/standing'
import { Problem } from '../../../http/problem'
import { paramOf, route } from '../../../http/route'
import { workspaceOf } from '../../../http/workspaceOf'

/** A workspace plans no more than this at a time. */
const MOST = 200

/** Plans a change of a video for a day. */
export default route('POST /api/videos/:id/planned', (event, runtime, { body: { workspace, day, ...plan } }) => {
  const { plannedChanges, now } = runtime
  const { id: home } = workspaceOf(runtime, workspace)
  const madeOn = rankDay(now())
  if (dayNamed(day) < madeOn) throw new Problem(400, 'past-day', 'Choose today or a later day.')
  if (plannedChanges.all(home).length >= MOST)
    throw new Problem(409, 'too-many', `There are ${MOST} planned changes already. Remove some that are over.`)
  const id = uuid()
  plannedChanges.add(home, { ...plan, id, video: paramOf(event, 'id'), madeOn, day: dayNamed(day) })
  setResponseStatus(event, 201)
  return { id }
})
