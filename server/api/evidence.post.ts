import { setResponseStatus } from 'h3'
import { evidenceSteps, evidenceTotal } from '../desk/evidence'
import { route } from '../http/route'
import { profileOf, ruleSetOf } from '../http/scoring'

/** Works the evidence out in a job; one that does so already is answered with. */
export default route('POST /api/evidence', async (event, runtime, { body }) => {
  const { ruleSet, profile, ...pages } = body
  const { jobs } = runtime
  const input = JSON.stringify(body)
  const [set, limits] = [ruleSetOf(runtime, ruleSet), profileOf(runtime, profile)]
  setResponseStatus(event, 202)
  const total = await evidenceTotal(runtime, set, limits)
  const running = jobs
    .list()
    .find(
      ({ id, kind, state }) => kind === 'evidence' && state === 'running' && JSON.stringify(jobs.input(id)) === input,
    )
  if (running) return { job: running }
  const title = `Evidence for “${set.name}”`
  return {
    job: jobs.start('evidence', title, body, total, signal => evidenceSteps(runtime, set, limits, pages, signal)),
  }
})
