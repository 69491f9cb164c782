import { writerOf } from '../../../access/admit'
import { BRIEF_FIELDS, type BriefField } from '../../../../core/brief/brief'
import { noSuchBrief } from '../../../http/briefOf'
import { Problem } from '../../../http/problem'
import { paramOf, route } from '../../../http/route'

export default route('PATCH /api/briefs/:id', async (event, { briefs }, { body }) => {
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
  return result.answer
})
