import { evidenceSteps, evidenceTotal } from '../../../desk/evidence'
import { evidenceBodySchema } from '../../../../shared/evidence'
import { assessBodySchema } from '../../../../shared/phrases'
import { assessWork } from '../../../demand/assessWork'
import { changes } from '../../../changes'
import { askable } from '../../../http/askable'
import { Problem } from '../../../http/problem'
import { startViews } from '../../../ranks/viewsWork'
import { workOn } from '../../../release/editMany'
import { startPublishing } from '../../../release/publish'
import { paramOf, route } from '../../../http/route'
import { profileOf, ruleSetOf } from '../../../http/scoring'

/** Takes up work that was stopped or cut off: what is done already is answered from the store. */
export default route('POST /api/jobs/:id/resume', async (event, runtime) => {
  const id = paramOf(event, 'id')
  const state = runtime.jobs.get(id)
  if (!state) throw new Problem(404, 'no-such-job', 'This job does not exist. It may have ended long ago.')
  if (state.state === 'running') return state
  const input = runtime.jobs.input(id)
  if (input === null) throw new Problem(409, 'done', 'This job is finished; there is nothing to resume.')
  if (state.kind === 'publish') {
    const { publication } = input as { publication: string }
    const going = runtime.publications.get(publication) ? startPublishing(runtime, publication, id) : null
    if (!going) throw new Problem(409, 'done', 'This job is finished; there is nothing to resume.')
    return going
  }
  if (state.kind === 'edit') {
    const run = runtime.editRuns.get((input as { run: string }).run)
    const going = run && workOn(runtime, run, id)
    if (!going) throw new Problem(409, 'done', 'This job is finished; there is nothing to resume.')
    return going
  }
  if (state.kind === 'ranks') {
    const going = runtime.rankWatch.check(true, id)
    if (!going) throw new Problem(409, 'done', 'Nothing is left to look up now.')
    return going
  }
  if (state.kind === 'views') {
    const { channel } = input as { channel: string }
    const going = startViews(
      askable(event, runtime),
      channel,
      () => {
        changes.changedByItself('ranks')
      },
      id,
    )
    if (!going) throw new Problem(409, 'done', 'Nothing is left to ask for now.')
    return going
  }
  if (state.kind === 'evidence') {
    const { ruleSet, profile, ...pages } = evidenceBodySchema.parse(input)
    const [set, limits] = [ruleSetOf(runtime, ruleSet), profileOf(runtime, profile)]
    const total = await evidenceTotal(runtime, set, limits)
    return runtime.jobs.start(
      'evidence',
      state.title,
      input,
      total,
      signal => evidenceSteps(runtime, set, limits, pages, signal),
      id,
    )
  }
  const body = assessBodySchema.parse(input)
  return runtime.jobs.start(
    'assess',
    state.title,
    body,
    body.phrases.length,
    signal => assessWork(runtime, body, signal),
    id,
  )
})
