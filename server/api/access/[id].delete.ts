import { network } from '../../access/network'
import { endStreams } from '../../http/eventStream'
import { Problem } from '../../http/problem'
import { paramOf, route } from '../../http/route'

/** Takes a key back: every window signed in by it is out. */
export default route('DELETE /api/access/:id', (event, { access }) => {
  const result = access.revoke(paramOf(event, 'id'), network().shared)
  if (result === 'absent') throw new Problem(404, 'no-such-key', 'This key is not there any more.')
  if (result === 'last-owner')
    throw new Problem(
      409,
      'last-owner',
      'This is the last owner’s key. Make another one first: without it nobody could make keys.',
    )
  // Every open stream is opened anew, by those who still may.
  endStreams()
  return { revoked: true }
})
