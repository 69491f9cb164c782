import { writerOf } from '../../../access/admit'
import { BRIEF_FIELDS, type BriefField } from '../../../../core/brief/brief'
import { noSuchBrief } from '../../../http/briefOf'
import { Problem } from '../../../http/problem'
import { keepForecasts, linkForecasts } from '../../../ranks/forecasts'
import type { Runtime } from '../../../runtime'
import { paramOf, route } from '../../../http/route'

export default route('PATCH /api/briefs/:id', async (event, runtime, { body }) => {
  const { briefs } = runtime
  const { editId, fields, client } = body
  const unknown = Object.keys(fields).find(field => !BRIEF_FIELDS.includes(field as BriefField))
  if (unknown)
    throw new Problem(
      400,
      'bad-input',
      `A brief has no field “${unknown.slice(0, 60)}”. It has ${BRIEF_FIELDS.join(', ')}.`,
    )
  const result = briefs.patch(paramOf(event, 'id'), editId, fields, { client: client ?? null, writer: writerOf(event) })
  if (result.kind === 'absent') throw noSuchBrief()
  if (result.kind === 'other-edit')
    throw new Problem(409, 'other-edit', 'This edit id belongs to another edit. Send it under an id of its own.')
  if (result.kind === 'stale')
    throw new Problem(
      409,
      'stale',
      'This was changed elsewhere since you opened it. Nothing was overwritten: choose which version to keep.',
      { conflicts: result.conflicts },
    )
  if ('tray' in fields) setImmediate(noteForecasts, runtime, paramOf(event, 'id'))
  if ('videoAddress' in fields) setImmediate(noteVideo, runtime)
  return result.answer
})

/** What was foretold when a phrase was taken is kept, after whoever took it was answered. */
function noteForecasts(runtime: Runtime, id: string): void {
  try {
    const brief = runtime.briefs.get(id)
    if (brief) keepForecasts(runtime, brief, 'settled')
  } catch (error) {
    // The tray is saved; on a full disk the forecast is kept with its next change.
    console.error('Could not keep what was foretold:', error)
  }
}

/** With its address a brief has become a video: what was foretold of it was foretold of that. */
function noteVideo(runtime: Runtime): void {
  try {
    linkForecasts(runtime)
    runtime.recalibrations.noted()
  } catch (error) {
    // It is made up for when Fonetra starts, and with the next address.
    console.error('Could not link what was foretold to its video:', error)
  }
}
