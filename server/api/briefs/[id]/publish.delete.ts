import { rm } from 'node:fs/promises'
import { briefOf } from '../../../http/briefOf'
import { Problem } from '../../../http/problem'
import { route } from '../../../http/route'
import { jobOf, outgoingFile, publishAnswer } from '../../../release/publish'

/** Gives up a brief that was cut off on its way, or refused: it can be sent anew. */
export default route('DELETE /api/briefs/:id/publish', async (event, runtime) => {
  const brief = briefOf(event, runtime)
  const { publications, jobs, outgoing } = runtime
  const held = publications.heldOf(brief.id)
  if (held?.state === 'out') throw new Problem(409, 'is-out', 'This brief is out already. The site deletes videos.')
  if (held && jobOf(jobs, held.id)?.state === 'running')
    throw new Problem(409, 'is-on-its-way', 'It is being sent. Stop that first.')
  if (held) {
    publications.end(held.id, { state: 'given-up' })
    await rm(outgoingFile(outgoing, held.id), { force: true })
  }
  return publishAnswer(runtime, brief)
})
