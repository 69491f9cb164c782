import { setResponseStatus } from 'h3'
import { route } from '../../../http/route'
import { Problem } from '../../../http/problem'
import { profileOf } from '../../../http/scoring'
import { workspaceOf } from '../../../http/workspaceOf'
import { manyFits, startEdit } from '../../../release/editMany'

/** One change in many videos: what it would do, or a job that makes it. */
export default route('POST /api/videos/edit-many', async (event, runtime, { body }) => {
  const { workspace, edit, videoIds, profile, dryRun, seen } = body
  const { id, channelId } = workspaceOf(runtime, workspace)
  if (channelId === null)
    throw new Problem(409, 'no-channel', 'Choose your channel in the Library first: its videos are changed.')
  if (!dryRun && !videoIds) throw new Problem(400, 'no-videos', 'Name the videos to be changed.')
  const found = await manyFits(runtime, {
    channel: channelId,
    ids: videoIds,
    edit,
    profile: profileOf(runtime, profile),
  })
  if (dryRun) return { ...found, run: null }
  const run = startEdit(runtime, id, edit, found, seen)
  setResponseStatus(event, 202)
  return { run }
})
